import { describe, expect, it } from 'vitest'
import { LONGEST_GAP_MS } from '../rules/guideline'
import { fallBounds, firstRise, lastFall } from './crossing'

const MINUTE = 60_000
const at = (...points: [minute: number, coreC: number][]) =>
  points.map(([minute, coreC]) => ({ atMs: minute * MINUTE, coreC }))

describe('where a line between readings passes a temperature', () => {
  it('upwards: by proportion, at once where it begins there, never where it is not reached', () => {
    // From 40 to 60 °C in 10 min, 54.4 °C after 7.2 min.
    expect(firstRise(at([0, 40], [10, 60]), 54.4)).toBeCloseTo(7.2 * MINUTE, 3)
    expect(firstRise(at([3, 60], [10, 40]), 54.4)).toBe(3 * MINUTE)
    expect(firstRise(at([0, 20], [10, 54.3]), 54.4)).toBeNull()
    expect(firstRise([], 54.4)).toBeNull()
  })
  it('downwards: the last time, and not while it is above', () => {
    expect(lastFall(at([0, 60], [10, 40], [20, 60], [30, 50]), 54.4)).toBeCloseTo((20 + 5.6) * MINUTE, 3)
    expect(lastFall(at([0, 40], [10, 60]), 54.4)).toBeNull()
    expect(lastFall(at([2, 40]), 54.4)).toBe(2 * MINUTE)
    expect(lastFall([], 54.4)).toBeNull()
  })
})

describe('bounds of a fall', () => {
  it('near readings say it by the line; over a long gap it may have been at either end', () => {
    const near = fallBounds(at([0, 60], [20, 40]), 50, 0)
    expect(near).toEqual({ earliestMs: 10 * MINUTE, latestMs: 10 * MINUTE })
    const far = LONGEST_GAP_MS / MINUTE + 1
    expect(fallBounds(at([0, 60], [far, 40]), 50, 0)).toEqual({ earliestMs: 0, latestMs: far * MINUTE })
  })
  it('the thermometer\'s error widens them: what may be above still is not shown to be below', () => {
    const readings = at([0, 60], [40, 50.3], [80, 49.8], [120, 48])
    expect(fallBounds(readings, 50, 0.5)).toEqual({ earliestMs: 0, latestMs: 120 * MINUTE })
    expect(fallBounds(at([0, 60], [40, 50.3]), 50, 0.5).latestMs).toBeNull()
  })
})
