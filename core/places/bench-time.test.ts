import { describe, expect, it } from 'vitest'
import type { Stay } from '../life/fold'
import { MS_PER_HOUR } from '../units/quantities'
import { benchTime } from './bench-time'

const h = (hours: number) => hours * MS_PER_HOUR
const lay = (placeId: number, from: number, to: number | null): Stay => ({
  placeId,
  stage: 'rest',
  fromMs: h(from),
  toMs: to === null ? null : h(to),
})
const BENCH = 9
const time = (
  stays: readonly Stay[],
  { now = 24, readings = [] as [number, number][], decided = [] as [number, number][], since = 0 } = {},
) => {
  const found = benchTime(stays, {
    isBench: id => id === BENCH,
    readingsOf: () => readings.map(([atH, tempC]) => ({ atMs: h(atH), tempC })),
    limitC: 4.4,
    sinceMs: h(since),
    decided: decided.map(([from, to]) => ({ fromMs: h(from), toMs: h(to) })),
    nowMs: h(now),
  })
  return found && [found.lastedMs / MS_PER_HOUR, found.toMs === null ? null : found.toMs / MS_PER_HOUR, found.warmestC]
}

describe('time on counters and tables', () => {
  it('counts as a room until it is read, in all stays together', () => {
    expect(time([lay(1, 0, 5), lay(BENCH, 5, 7), lay(1, 7, 10), lay(BENCH, 10, null)], { now: 11 })).toEqual([3, null, 20])
    expect(time([lay(1, 0, null)])).toBeNull()
  })
  it('a bench that was read cold does not count between its readings', () => {
    const stays = [lay(BENCH, 0, 6)]
    expect(time(stays, { readings: [[0, 3], [6, 3]] })).toBeNull()
    expect(time(stays, { readings: [[2, 3], [4, 3]] })).toEqual([4, 6, 20])
    // Half of a line from 0.4 to 8.4 °C lies above 4.4.
    expect(time(stays, { readings: [[0, 0.4], [6, 8.4]] })![0]).toBeCloseTo(3, 6)
  })
  it('what a decision covers and what lay before the clock began does not count', () => {
    expect(time([lay(BENCH, 0, 6)], { decided: [[0, 5]] })).toEqual([1, 6, 20])
    expect(time([lay(BENCH, 0, 6)], { since: 4 })).toEqual([2, 6, 20])
  })
})
