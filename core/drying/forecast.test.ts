import { describe, expect, it } from 'vitest'
import { driedSlab } from '../fixtures/drying-slabs'
import { seeded } from '../lists/seeded'
import { MS_PER_DAY } from '../units/quantities'
import { backtest } from '../fixtures/backtest'
import { forecastLoss, type LossPoint } from './forecast'

const onCurve = (final: number, rate: number, days: number[], before = 0.03): LossPoint[] =>
  days.map(day => ({ atMs: day * MS_PER_DAY, lost: final - (final - before) * Math.exp(-rate * day) }))
const ask = (points: LossPoint[], target: number, waterShare = 0.5) =>
  forecastLoss({ hungAtMs: 0, points, target, waterShare })

describe('when a hanging piece will be ready', () => {
  it('weights that lie on a curve bring its own day into the range, nearer with each', () => {
    const truth = Math.log((0.42 - 0.03) / (0.42 - 0.3)) / 0.03
    const widths = [2, 3, 4, 5].map((weeks) => {
      const found = ask(onCurve(0.42, 0.03, Array.from({ length: weeks + 1 }, (_, i) => 7 * i)), 0.3)!
      expect(found.fromMs / MS_PER_DAY).toBeLessThan(truth)
      expect(found.toMs / MS_PER_DAY).toBeGreaterThan(truth)
      return found.toMs - found.fromMs
    })
    for (const [i, width] of widths.slice(1).entries()) expect(width).toBeLessThan(widths[i]!)
  })
  it('is not said after one weight, nor for more than its water allows', () => {
    expect(ask(onCurve(0.4, 0.03, [0]), 0.3)).toBeNull()
    expect(ask(onCurve(0.3, 0.03, [0, 7, 14]), 0.4, 0.35)).toBeNull()
  })
  it('hardly ever gets there where it has all but stopped short of it', () => {
    const stopped = ask(onCurve(0.28, 0.12, [0, 7, 14, 21, 28, 35]), 0.4)
    expect(stopped?.reaches ?? 0).toBeLessThan(0.05)
  })
  it('of 200 simulated slabs the range holds 75 to 85 %', () => {
    const random = seeded(2026)
    const slabs = Array.from({ length: 200 }, () => driedSlab(random))
    const found = [2, 3, 4].map(weeks => backtest(slabs, weeks))
    const asked = found.reduce((sum, one) => sum + one.asked, 0)
    const held = found.reduce((sum, one) => sum + one.held * one.asked, 0) / asked
    expect(asked).toBeGreaterThan(500)
    expect(held).toBeGreaterThan(0.75)
    expect(held).toBeLessThan(0.85)
  }, 30_000)
})
describe('a simulated slab', () => {
  it('loses more slowly as it dries, damp days aside, and never all of its water', () => {
    const { trueLost, waterShare } = driedSlab(seeded(5))
    const days = Array.from({ length: 100 }, (_, i) => trueLost[24 * i]!)
    for (const [i, lost] of days.slice(1).entries()) expect(lost).toBeGreaterThan(days[i]! - 2e-3)
    expect(days.at(-1)!).toBeLessThan(waterShare)
    expect(days[20]! - days[0]!).toBeGreaterThan(days[99]! - days[79]!)
  })
})
