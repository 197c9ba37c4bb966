import { describe, expect, it } from 'vitest'
import { seeded } from '../lists/seeded'
import { MS_PER_DAY } from '../units/quantities'
import { lyingLoss, type LyingLiquid } from './lying-loss'

const liquid = (liquidG: number, more: Partial<LyingLiquid> = {}): LyingLiquid => ({
  liquidG, greenG: 2000, thicknessMm: 40, sinceMs: 3 * MS_PER_DAY, coldestC: 4, ...more,
})

describe('liquid that lay with the meat takes at most', () => {
  it('what the reference says of 2 kg, 40 mm, on the third day', () => {
    // There the thinnest place is as thick as the rest; six tenths of 42 mm are as deep.
    const drewG = (735 * 2000 * 4.8e-3) / 1050 / 0.04
    expect(lyingLoss(liquid(60))).toBeCloseTo(60 / (60 + drewG), 9)
    expect(lyingLoss(liquid(60))).toBeLessThan(0.27)
    expect(lyingLoss(liquid(240))).toBeLessThan(0.6)
    expect(lyingLoss(liquid(60, { thicknessMm: 42 }))).toBeGreaterThan(60 / (60 + 175) - 1e-9)
  })
  it('more where there is more of it, where the meat is thinner to the salt, and all in the first hours', () => {
    expect(lyingLoss(liquid(120))).toBeGreaterThan(lyingLoss(liquid(60)))
    expect(lyingLoss(liquid(60, { sinceMs: MS_PER_DAY }))).toBeGreaterThan(lyingLoss(liquid(60)))
    expect(lyingLoss(liquid(60, { coldestC: null, sinceMs: MS_PER_DAY }))).toBeGreaterThan(lyingLoss(liquid(60, { sinceMs: MS_PER_DAY })))
    expect(lyingLoss(liquid(60, { sinceMs: 3_600_000 }))).toBe(1)
  })
})

/** A face of lean against well-stirred liquid that holds all of the nitrite at first: the share left in the liquid. */
function simulate({ liquidG, greenG, thicknessMm, sinceMs }: LyingLiquid, d: number): number {
  const CELLS = 80
  const dx = thicknessMm / 1000 / CELLS
  const waterKgM2 = 735 * dx
  const bathKgM2 = liquidG / 1000 / (greenG / 1000 / (1050 * (thicknessMm / 1000)))
  const seconds = sinceMs / 1000
  const steps = Math.ceil((seconds * d) / (0.2 * dx * dx)) * (bathKgM2 < waterKgM2 ? 4 : 1)
  const r = (d * (seconds / steps)) / (dx * dx)
  const c = new Float64Array(CELLS)
  let bath = 1
  for (let n = 0; n < steps; n++) {
    const into = 2 * r * (bath - c[0]!)
    let before = c[0]!
    c[0] = before + into + r * (c[1]! - before)
    for (let i = 1; i < CELLS; i++) {
      const here = c[i]!
      c[i] = here + r * (before - here) + (i < CELLS - 1 ? r * (c[i + 1]! - here) : 0)
      before = here
    }
    bath -= (into * waterKgM2) / bathKgM2
  }
  const inMeat = c.reduce((sum, x) => sum + x, 0) * waterKgM2
  expect(inMeat + bath * bathKgM2).toBeCloseTo(bathKgM2, 6)
  return (bath * bathKgM2) / (inMeat + bath * bathKgM2)
}

it('the bound holds in 300 simulated slabs, and is not far above some', () => {
  const draw = seeded(20261202)
  const between = (a: number, b: number) => a + (b - a) * draw()
  let nearest = 0
  for (let i = 0; i < 300; i++) {
    const thicknessMm = between(20, 60)
    const one = liquid(between(10, 400), { thicknessMm, sinceMs: between(0.3, 10) * MS_PER_DAY, greenG: between(800, 5000), coldestC: 4 })
    const found = simulate(one, between(1.28e-10, 2.9e-10))
    const bound = lyingLoss(one)
    expect(found, JSON.stringify(one)).toBeLessThanOrEqual(bound)
    nearest = Math.max(nearest, found / bound)
  }
  expect(nearest).toBeGreaterThan(0.7)
})
