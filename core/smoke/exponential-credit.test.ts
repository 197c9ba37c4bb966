import { describe, expect, it } from 'vitest'
import { creditAlong, type ExponentialRate } from './exponential-credit'

const RATE: ExponentialRate = { perSecond: 1 / 60, atC: 70, zC: 7.5, fromC: 60, longestGapMs: 30 * 60_000 }
const along = (...points: [second: number, coreC: number][]) =>
  creditAlong(points.map(([second, coreC]) => ({ atMs: second * 1000, coreC })), RATE)

describe('an exponential rate along straight lines', () => {
  it('a minute at the reference is one, ten times as much one z above, a tenth one z below', () => {
    expect(along([0, 70], [60, 70])).toEqual([0, 1])
    expect(along([0, 77.5], [60, 77.5])[1]).toBeCloseTo(10, 9)
    expect(along([0, 62.5], [60, 62.5])[1]).toBeCloseTo(0.1, 9)
  })
  it('a slope is what many small steps add up to', () => {
    const steps = 20_000
    let sum = 0
    for (let i = 0; i < steps; i++) sum += ((600 / steps) * 10 ** ((60 + (12 * (i + 0.5)) / steps - 70) / 7.5)) / 60
    expect(along([0, 60], [600, 72])[1]).toBeCloseTo(sum, 6)
  })
  it('a slope in two pieces is the same as in one; up and down are alike', () => {
    const [, whole] = along([0, 60], [600, 72])
    expect(along([0, 60], [200, 64], [600, 72]).at(-1)).toBeCloseTo(whole!, 9)
    expect(along([0, 72], [600, 60])[1]).toBeCloseTo(whole!, 9)
  })
  it('below the first degree that counts nothing is; a line that passes it counts from there', () => {
    expect(along([0, 40], [600, 59.9])).toEqual([0, 0])
    // From 50 to 70 °C in 600 s the last 300 s are above 60 °C.
    expect(along([0, 50], [600, 70])[1]).toBeCloseTo(along([0, 60], [300, 70])[1]!, 9)
  })
  it('over a long gap nothing is credited, and two readings of one moment add nothing', () => {
    expect(along([0, 70], [1801, 70], [1861, 70])).toEqual([0, 0, expect.closeTo(1, 9)])
    expect(along([0, 70], [0, 80])).toEqual([0, 0])
  })
})
