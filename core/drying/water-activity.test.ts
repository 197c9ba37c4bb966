import { describe, expect, it } from 'vitest'
import { hungActivity, waterActivity, waterPhaseSalt } from './water-activity'

describe('water activity by salt', () => {
  it('of 5 % salt in the water is 0.970', () => expect(waterActivity(0.05)).toBeCloseTo(0.97, 3))
  it('of pure water is 1, of full brine 0.75 (NaCl at saturation, Greenspan 1977)', () => {
    expect(waterActivity(0)).toBe(1)
    expect(Math.abs(waterActivity(0.264) - 0.753)).toBeLessThan(0.01)
    expect(waterActivity(0.5)).toBe(waterActivity(0.264))
  })
  it('falls with every gram of salt', () => {
    const all = Array.from({ length: 260 }, (_, i) => waterActivity(i / 1000))
    for (const [i, aw] of all.slice(1).entries()) expect(aw).toBeLessThan(all[i]!)
  })
  it('meat of 45 % water and 2.5 % salt comes to 0.96 at a loss of 10 %', () => {
    expect(waterPhaseSalt(2.5, 47.5)).toBeCloseTo(0.05, 9)
    expect(hungActivity(0.025, 0.45, 0.1)).toBeCloseTo(0.96, 2)
    expect(hungActivity(0.025, 0.45, 0)).toBeGreaterThan(0.965)
  })
  it('half of it water it is 0.93 after 30 %, at 40 % water 0.90 after 25 %', () => {
    expect(hungActivity(0.025, 0.5, 0.3)).toBeCloseTo(0.93, 2)
    expect(hungActivity(0.025, 0.4, 0.25)).toBeCloseTo(0.9, 2)
  })
})
