import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LEAST_WATER } from '../rules/house'
import { CUTS } from '../rules/cuts'
import { leastInBrine } from './least-in-brine'

describe('the least nitrite in a brine', () => {
  it('spreads over water: 180 mg, 1 kg of belly, 0.5 kg of brine of 85 % water', () => {
    const found = leastInBrine({ nitriteG: 0.18, greenG: 1000, brineWaterG: 425, cut: 'belly' })
    // At 45 % water it would be 92.6; the belly counts at its lowest.
    expect(found).toBeCloseTo((180 * 350) / 775, 6)
    expect((180 * 450) / 875).toBeCloseTo(92.6, 1)
  })
  it('meat and brine together hold all of it, and the meat less than what the law counts', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...CUTS),
        fc.double({ min: 100, max: 50_000, noNaN: true }),
        fc.double({ min: 10, max: 50_000, noNaN: true }),
        (cut, greenG, brineWaterG) => {
          const ppm = leastInBrine({ nitriteG: 1, greenG, brineWaterG, cut })
          const inMeatG = (ppm * greenG) / 1e6
          const perWater = inMeatG / (greenG * LEAST_WATER[cut])
          expect(inMeatG + perWater * brineWaterG).toBeCloseTo(1, 9)
          // A brine is never less than half water.
          expect(ppm).toBeLessThan(1e6 / (greenG + brineWaterG) + 1e-9)
        },
      ),
    ))
})
