import { describe, expect, it } from 'vitest'
import { seeded } from '../lists/seeded'
import { MS_PER_DAY, MS_PER_MINUTE } from '../units/quantities'
import { soakLoss, warmer, type Soak } from './soak-loss'

const soak = (thicknessMm: number, days: number, minutes: number, waterC: number | null, oneFace = false): Soak => ({
  ms: minutes * MS_PER_MINUTE, waterC, thicknessMm, curedMs: days * MS_PER_DAY, oneFace,
})

describe('what a soak takes at most', () => {
  it('is what the reference says of a few', () => {
    expect(soakLoss(soak(25, 3, 60, 4))).toBeCloseTo(0.131, 3)
    expect(soakLoss(soak(25, 3, 60, 12))).toBeCloseTo(0.152, 3)
    expect(soakLoss(soak(40, 7, 60, 15))).toBeCloseTo(0.104, 3)
    const half = 1 - soakLoss(soak(40, 7, 30, 15))
    expect(1 - half * half).toBeCloseTo(0.142, 3)
  })
  it('grows with time and warmth, and is never over all of it; not told, the water counts as lukewarm', () => {
    const all = [1, 10, 60, 600, 6000].map(minutes => soakLoss(soak(30, 5, minutes, 10)))
    expect(all).toEqual(all.toSorted((a, b) => a - b))
    expect(all.at(-1)).toBe(1)
    expect(soakLoss(soak(30, 5, 60, 20))).toBeGreaterThan(soakLoss(soak(30, 5, 60, 4)))
    expect(soakLoss(soak(30, 5, 60, null))).toBe(soakLoss(soak(30, 5, 60, 15)))
    expect(soakLoss(soak(30, 5, 0, 10))).toBe(0)
  })
  it('by warmth follows Arrhenius', () => {
    expect(warmer(4)).toBe(1)
    expect(Math.log(warmer(14)) / (1 / 277.15 - 1 / 287.15)).toBeCloseTo(25_000 / 8.314462618, 6)
  })
})

/**
 * A slab in finite volumes, explicit: cure at one face or both, so many days at 4 °C, then clean water at both faces.
 * Answers with the share that the water took. Mass is kept while no water lies on it.
 */
function simulate(one: Soak, inD: number, outD: number): number {
  const CELLS = 50
  const dx = one.thicknessMm / 1000 / CELLS
  let c = new Float64Array(CELLS)
  c[0] = 1
  if (!one.oneFace) c[CELLS - 1] = 1
  const run = (d: number, seconds: number, open: boolean) => {
    const steps = Math.max(1, Math.ceil((seconds * d) / (0.24 * dx * dx)))
    const r = (d * (seconds / steps)) / (dx * dx)
    for (let n = 0; n < steps; n++) {
      const next = new Float64Array(CELLS)
      for (let i = 0; i < CELLS; i++) {
        // Clean water lies half a cell off.
        const left = i > 0 ? c[i - 1]! - c[i]! : open ? -2 * c[i]! : 0
        const right = i < CELLS - 1 ? c[i + 1]! - c[i]! : open ? -2 * c[i]! : 0
        next[i] = c[i]! + r * (left + right)
      }
      c = next
    }
    return c.reduce((sum, x) => sum + x, 0)
  }
  const before = run(inD, one.curedMs / 1000, false)
  return 1 - run(outD * warmer(one.waterC!), one.ms / 1000, true) / before
}

describe('the bound', () => {
  it('keeps what is in the meat while no water lies on it', () =>
    expect(simulate(soak(30, 4, 0, 4), 2e-10, 2e-10)).toBeCloseTo(0, 12))
  it('holds in 300 simulated slabs, and is not far above some', () => {
    const draw = seeded(20261201)
    const between = (a: number, b: number) => a + (b - a) * draw()
    let nearest = 0
    for (let i = 0; i < 300; i++) {
      const one = soak(between(15, 60), between(2, 14), between(10, 600), between(2, 20), draw() < 0.3)
      const found = simulate(one, between(1.5e-10, 3.5e-10), between(1.5e-10, 3.5e-10))
      const bound = soakLoss(one)
      expect(found, JSON.stringify(one)).toBeLessThanOrEqual(bound)
      nearest = Math.max(nearest, found / bound)
    }
    expect(nearest).toBeGreaterThan(0.75)
  })
})
