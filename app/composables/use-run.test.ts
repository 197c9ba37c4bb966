import { expect, it } from 'vitest'
import { ref } from 'vue'
import type { RunView } from '#shared/contracts/smoke'
import { useRun } from './use-run'

const MINUTE = 60_000
type Point = [minute: number, coreC: number | null]
const UNMARKED = { coreOffsetC: 0, chamberOffsetC: 0, core: null, chamber: null }
const UNJUDGED = { rise: null, cooling: null, cold: null }
const run = (smoke: Point[], cool: Point[] = [], pulled: number | null = null): RunView => ({
  ruleSetId: 'us', code: 'S-0001', smoker: 'A', targetCoreC: 63, startedAtMs: 0, pulledAtMs: pulled === null ? null : pulled * MINUTE, outcome: null, startedBy: 'A', pulledBy: null, zone: 'UTC', events: [], nowMs: 0,
  lots: [{ code: 'L-0001', cut: 'belly', saltOnly: false, ppm: 150, lowPpm: 143, pieces: [1], held: false, ...UNJUDGED }, { code: 'L-0002', cut: 'belly', saltOnly: true, ppm: null, lowPpm: null, pieces: [1], held: false, ...UNJUDGED }],
  readings: [...smoke.map(([minute, coreC], id) => ({ id, phase: 'smoke' as const, atMs: minute * MINUTE, chamberC: 80, coreC, typed: '', source: 'hand' as const, ...UNMARKED })),
    ...cool.map(([minute, coreC], id) => ({ id: 100 + id, phase: 'cool' as const, atMs: minute * MINUTE, chamberC: null, coreC, typed: '', source: 'csv' as const, ...UNMARKED }))],
})

const rising = { status: 'under_way' as const, elapsedMs: 0, startMs: 0 }
it('a lot without nitrite in the load sets the stricter come-up', () => {
  const view = run([[0, 10], [200, 40]])
  view.lots[0]!.rise = { ...rising, allowedMs: 6 * 60 * MINUTE }
  view.lots[1]!.rise = { ...rising, allowedMs: 4 * 60 * MINUTE }
  expect(useRun(ref(view)).rise.value).toMatchObject({ status: 'under_way', allowedMs: 4 * 60 * MINUTE })
  view.lots[0]!.rise.status = 'not_shown'
  expect(useRun(ref(view)).rise.value?.status).toBe('not_shown')
})
it('minutes at 70 °C are told where they are the practice, counted from 60 °C', () => {
  const view = run([[0, 59.9], [20, 59.9], [21, 70], [24, 70]])
  expect(useRun(ref(view)).byP70.value).toBe(false)
  const { byP70, p70, p70Reached } = useRun(ref({ ...view, ruleSetId: 'uk' }))
  expect([byP70.value, p70Reached.value]).toEqual([true, true])
  // Three minutes at 70 °C, and less than one on the way: the twenty below 60 °C count nothing.
  expect(p70.value).toBeGreaterThan(3)
  expect(p70.value).toBeLessThan(4)
})
it('credit follows the core, and chamber-only readings carry none', () => {
  const { credit, lethal, smoke } = useRun(ref(run([[0, 50], [10, null], [20, 63], [30, 64]])))
  expect(smoke.value).toHaveLength(3)
  expect(credit.value).toHaveLength(3)
  expect(credit.value.every((log, i, all) => i === 0 || log >= all[i - 1]!)).toBe(true)
  expect(lethal.value).toBe(true)
})
