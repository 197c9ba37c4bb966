import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import type { WarmthLine } from './lines'
import { breachesOf, stretchesAbove } from './warmth'

const h = (hours: number) => hours * MS_PER_HOUR
/** Lines through points "hour, °C", all in one place unless a third says which. */
const lines = (...points: [number, number, number?][]): WarmthLine[] =>
  points.slice(1).map(([hour, tempC, placeId = 1], i) => ({
    placeId,
    stage: 'cure',
    fromMs: h(points[i]![0]),
    toMs: h(hour),
    fromC: points[i]![1],
    toC: tempC,
  }))
const RULE = { saltOnly: false, limitC: 4.4, decided: [] }
const hours = ({ fromMs, toMs }: { fromMs: number; toMs: number }) => [fromMs / MS_PER_HOUR, toMs / MS_PER_HOUR]

describe('stretches above a temperature', () => {
  it('begin and end where the line crosses', () => {
    expect(stretchesAbove(lines([0, 5], [2, 9], [4, 5]), 7).map(hours)).toEqual([[1, 3]])
    expect(stretchesAbove(lines([0, 5], [2, 6.9]), 7)).toEqual([])
  })
  it('go on into the next place, and break where nothing is known', () => {
    expect(stretchesAbove(lines([0, 8], [1, 8], [2, 8, 2]), 7)).toMatchObject([{ placeId: 1, lastedMs: h(2) }])
    const gap = [...lines([0, 8], [1, 8]), ...lines([3, 8], [4, 8])]
    expect(stretchesAbove(gap, 7).map(hours)).toEqual([
      [0, 1],
      [3, 4],
    ])
  })
})

describe('what holds pieces', () => {
  it('is over 7 °C for more than two hours in one go', () => {
    expect(breachesOf(lines([0, 8], [2, 8]), RULE)).toEqual([])
    expect(breachesOf(lines([0, 8], [2.1, 9]), RULE)).toMatchObject([{ reason: 'place_warm', worstC: 9 }])
    // Twice for an hour and a half is not three hours.
    expect(breachesOf(lines([0, 8], [1.5, 8], [1.6, 3], [1.7, 8], [3.2, 8]), RULE)).toEqual([])
  })
  it('salt only: over 4 °C for more than four hours, and over 7 °C for two', () => {
    const salt = { ...RULE, saltOnly: true }
    expect(breachesOf(lines([0, 4.2], [4.1, 4.2]), salt)).toMatchObject([{ reason: 'place_warm', aboveC: 4 }])
    expect(breachesOf(lines([0, 4.2], [4.1, 4.2]), RULE)).toEqual([])
    expect(breachesOf(lines([0, 8], [3, 8]), salt)).toMatchObject([{ aboveC: 7 }])
    // One trouble, told once.
    expect(breachesOf(lines([0, 8], [5, 8]), salt)).toHaveLength(1)
  })
  it('is over the shop\'s limit for more than a day in all, without what was decided', () => {
    const warm = lines([0, 5], [10, 5], [11, 3], [20, 3], [21, 5], [36, 5])
    const [sum] = breachesOf(warm, RULE)
    // 10 h, the way down to 4.4 and the way up from it, 15 h.
    expect(sum).toMatchObject({ reason: 'place_warm_sum', fromMs: 0, toMs: h(36) })
    expect(sum!.lastedMs / MS_PER_HOUR).toBeCloseTo(10 + 0.3 + 0.3 + 15, 6)
    expect(breachesOf(warm, { ...RULE, limitC: 5 })).toEqual([])
    expect(breachesOf(warm, { ...RULE, decided: [{ fromMs: 0, toMs: h(5) }] })).toEqual([])
  })
})
