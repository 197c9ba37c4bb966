import { expect, it } from 'vitest'
import { ref } from 'vue'
import { runFigures } from '#core/smoke/run-figures'
import type { RunView } from '#shared/contracts/smoke'
import { useRun } from './use-run'

const MINUTE = 60_000
const UNJUDGED = { rise: null, cooling: null, cold: null }
const run = (smoke: [minute: number, coreC: number][] = []): RunView => {
  const { credit: _along, ...figures } = runFigures(smoke.map(([minute, coreC]) => ({ atMs: minute * MINUTE, coreC })))
  return {
    ruleSetId: 'us',
    code: 'S-0001',
    smoker: 'A',
    targetCoreC: 63,
    startedAtMs: 0,
    pulledAtMs: null,
    outcome: null,
    startedBy: 'A',
    pulledBy: null,
    zone: 'UTC',
    events: [],
    nowMs: 0,
    lots: [
      { code: 'L-0001', cut: 'belly', saltOnly: false, ppm: 150, leastPpm: 143, leastWhy: null, pieces: [1], held: false, ...UNJUDGED },
      { code: 'L-0002', cut: 'belly', saltOnly: true, ppm: null, leastPpm: null, leastWhy: null, pieces: [1], held: false, ...UNJUDGED },
    ],
    readings: [],
    readingCount: 0,
    points: [],
    figures,
  }
}

const rising = { status: 'under_way' as const, elapsedMs: 0, startMs: 0 }
it('a lot without nitrite in the load sets the stricter come-up', () => {
  const view = run()
  view.lots[0]!.rise = { ...rising, allowedMs: 6 * 60 * MINUTE }
  view.lots[1]!.rise = { ...rising, allowedMs: 4 * 60 * MINUTE }
  expect(useRun(ref(view)).rise.value).toMatchObject({ status: 'under_way', allowedMs: 4 * 60 * MINUTE })
  view.lots[0]!.rise.status = 'not_shown'
  expect(useRun(ref(view)).rise.value?.status).toBe('not_shown')
})
it('minutes at 70 °C are told where they are the practice, counted from 60 °C', () => {
  const view = run([
    [0, 59.9],
    [20, 59.9],
    [21, 70],
    [24, 70],
  ])
  expect(useRun(ref(view)).byP70.value).toBe(false)
  const { byP70, figures, p70Reached } = useRun(ref({ ...view, ruleSetId: 'uk' }))
  expect([byP70.value, p70Reached.value]).toEqual([true, true])
  // Three minutes at 70 °C, and less than one on the way: the twenty below 60 °C count nothing.
  expect(figures.value.p70Min).toBeGreaterThan(3)
  expect(figures.value.p70Min).toBeLessThan(4)
})
