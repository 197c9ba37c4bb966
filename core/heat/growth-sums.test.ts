import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { GROWTH_SUMS, type GrowthRates } from '../rules/growth'
import { growthSums, type GrowthMarks, type LinePoint } from './growth-sums'

const HOUR = 3_600_000
const line = (...points: [hour: number, tempC: number][]): LinePoint[] => points.map(([hour, tempC]) => ({ atMs: hour * HOUR, tempC }))
const marks = (more: Partial<GrowthMarks> = {}): GrowthMarks => ({ cured: true, firstHotMs: null, hotMs: [], lethalMs: [], ...more })

/** A second method: each second of the line by itself, at the temperature of its middle. */
function bySeconds(points: readonly LinePoint[], { bands, toC }: GrowthRates): number {
  let sum = 0
  for (const [i, b] of points.entries()) {
    const a = points[i - 1]
    if (!a) continue
    for (let ms = a.atMs + 500; ms < b.atMs; ms += 1000) {
      const tempC = a.tempC + ((b.tempC - a.tempC) * (ms - a.atMs)) / (b.atMs - a.atMs)
      const rate = tempC > toC ? 0 : (bands.findLast(band => tempC > band.aboveC)?.perHour ?? 0)
      sum += rate * (1000 / HOUR)
    }
  }
  return sum
}

describe('the figures that the rule was sized by', () => {
  it('the slowest rise that is in time is under the question', () =>
    expect(growthSums(line([0, 10], [6, 54.4]), marks()).staph.now).toBeCloseTo(47, 0))
  it('the slowest cooling that is in time is under the hold, cured and not', () => {
    const cured = growthSums(line([0, 54.4], [5, 26.7], [15, 7.2]), marks({ firstHotMs: 0 }))
    expect(cured.perfringens.now).toBeCloseTo(96, 0)
    const uncured = growthSums(line([0, 54.4], [1.5, 26.7], [6.5, 4.4]), marks({ cured: false, firstHotMs: 0 }))
    expect(uncured.perfringens.now).toBeCloseTo(99, 0)
  })
})

it('any line comes to what its seconds come to one by one', () => {
  const points = fc.array(fc.record({ minutes: fc.integer({ min: 1, max: 90 }), tempC: fc.integer({ min: -20, max: 700 }) }), {
    minLength: 2,
    maxLength: 6,
  })
  fc.assert(
    fc.property(points, fc.boolean(), (drawn, cured) => {
      let atMs = 0
      // A tenth off the steps: a level line on one stands on its edge.
      const drawnLine = drawn.map(({ minutes, tempC }) => ({ atMs: (atMs += minutes * 60_000), tempC: tempC / 10 + 0.05 }))
      const sums = growthSums(drawnLine, marks({ cured, firstHotMs: 0 }))
      const rates = GROWTH_SUMS[cured ? 'cured' : 'notCured']
      expect(sums.staph.now).toBeCloseTo(bySeconds(drawnLine, rates.staph), 1)
      expect(sums.perfringens.now).toBeCloseTo(bySeconds(drawnLine, rates.perfringens), 1)
    }),
    { numRuns: 60 },
  )
})
it('is the same however many points lie on its straight lines', () => {
  const rough = growthSums(line([0, 4], [8, 52]), marks())
  const fine = growthSums(line(...Array.from({ length: 97 }, (_, i): [number, number] => [i / 12, 4 + (i * 48) / 96])), marks())
  expect(fine.staph.now).toBeCloseTo(rough.staph.now, 9)
})

describe('what ends a sum', () => {
  const warm = line([0, 35], [4, 35], [5, 62], [6, 62], [8, 35], [9, 35])
  it('60 °C takes Staphylococcus to nothing, while it is under the hold', () => {
    const { staph } = growthSums(warm, marks({ hotMs: [5.5 * HOUR] }))
    expect(staph.most).toBeGreaterThan(4 * 14)
    expect(staph.now).toBeCloseTo(14 * (1 + (48 - 35) / 13.5), 6)
  })
  it('at its instant: the fall after it counts, also where no reading lies between', () => {
    const { staph } = growthSums(line([0, 35], [1, 35], [2, 65], [4, 25]), marks({ hotMs: [2.125 * HOUR] }))
    expect(staph.now).toBeCloseTo(14 * (18 / 20) + 9 * (5 / 20), 6)
  })
  it('but not what stood at 100: the toxin stays, whatever is heated later', () => {
    const { staph } = growthSums(line([0, 35], [8, 35], [9, 62], [10, 62], [11, 4]), marks({ hotMs: [9.5 * HOUR] }))
    expect(staph.now).toBeGreaterThanOrEqual(GROWTH_SUMS.holdAt)
  })
  it('Perfringens counts from the first 54 °C on, and ends with a lethality after it alone', () => {
    const fall = line([0, 40], [4, 40], [5, 60], [5.5, 60], [6, 40], [8, 40], [9, 60], [10, 60], [10.5, 40], [11, 40])
    const firstHotMs = (4 + 14 / 20) * HOUR
    const going = growthSums(fall, marks({ firstHotMs })).perfringens
    const ended = growthSums(fall, marks({ firstHotMs, lethalMs: [9.8 * HOUR] })).perfringens
    // From 60 to 40 °C in half an hour, two hours there, and up again in one: under 51 °C it counts.
    const first = 18.5 * (0.5 * (11 / 20) + 2 + 11 / 20)
    const second = 18.5 * (0.5 * (11 / 20) + 0.5)
    expect(going.now).toBeCloseTo(first + second, 6)
    expect(ended).toEqual({ now: expect.closeTo(second, 6), most: expect.closeTo(first, 6) })
  })
})
