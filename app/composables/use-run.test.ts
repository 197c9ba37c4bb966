import { expect, it } from 'vitest'
import { ref } from 'vue'
import type { RunView } from '#shared/contracts/smoke'
import { useRun } from './use-run'

const MINUTE = 60_000
type Point = [minute: number, coreC: number | null]
const UNMARKED = { coreOffsetC: 0, chamberOffsetC: 0, core: null, chamber: null }
const run = (smoke: Point[], cool: Point[] = [], pulled: number | null = null): RunView => ({
  code: 'S-0001', smoker: 'A', targetCoreC: 63, startedAtMs: 0, pulledAtMs: pulled === null ? null : pulled * MINUTE, outcome: null, startedBy: 'A', pulledBy: null, zone: 'UTC', events: [], nowMs: 0,
  lots: [{ code: 'L-0001', cut: 'belly', saltOnly: false, ppm: 150, lowPpm: 143, pieces: [1], held: false }, { code: 'L-0002', cut: 'belly', saltOnly: true, ppm: null, lowPpm: null, pieces: [1], held: false }],
  readings: [...smoke.map(([minute, coreC], id) => ({ id, phase: 'smoke' as const, atMs: minute * MINUTE, chamberC: 80, coreC, typed: '', source: 'hand' as const, ...UNMARKED })),
    ...cool.map(([minute, coreC], id) => ({ id: 100 + id, phase: 'cool' as const, atMs: minute * MINUTE, chamberC: null, coreC, typed: '', source: 'csv' as const, ...UNMARKED }))],
})

it('a lot without nitrite in the load sets the stricter come-up', () => {
  const { rise } = useRun(ref(run([[0, 10], [200, 40]])))
  expect(rise.value).toMatchObject({ status: 'under_way', allowedMs: 4 * 60 * MINUTE })
})
it('credit follows the core, and chamber-only readings carry none', () => {
  const { credit, lethal, smoke } = useRun(ref(run([[0, 50], [10, null], [20, 63], [30, 64]])))
  expect(smoke.value).toHaveLength(3)
  expect(credit.value).toHaveLength(3)
  expect(credit.value.every((log, i, all) => i === 0 || log >= all[i - 1]!)).toBe(true)
  expect(lethal.value).toBe(true)
})
it('cooling is judged for each lot by its own nitrite, and not before the pull', () => {
  const smoke: Point[] = [[0, 20], [30, 50], [60, 64]]
  const cool: Point[] = [[70, 54], [130, 40], [190, 26], [300, 8], [360, 4]]
  expect(useRun(ref(run(smoke))).cooling.value).toEqual([])
  const { cooling } = useRun(ref(run(smoke, cool, 62)))
  expect(cooling.value.map(c => [c.lot.code, c.rule.id, c.status])).toEqual([['L-0001', 'cured', 'in_time'], ['L-0002', 'not_cured', 'late_first']])
})
it('a smoke that never cooked asks for no cooling', () => expect(useRun(ref(run([[0, 8], [300, 24]], [], 310))).cooked.value).toBe(false))
