import fc from 'fast-check'
import { expect, it } from 'vitest'
import { shareByWeight } from './share-by-weight'

it('nothing is lost, and every piece gets the same per kilogram', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 5000, noNaN: true }),
      fc.array(fc.double({ min: 50, max: 20_000, noNaN: true }), { minLength: 1, maxLength: 40 }),
      (massG, weightsG) => {
        const shares = shareByWeight(massG, weightsG)
        expect(shares.reduce((sum, one) => sum + one, 0)).toBeCloseTo(massG, 6)
        const perG = massG / weightsG.reduce((sum, one) => sum + one, 0)
        for (const [i, one] of shares.entries()) expect(one / weightsG[i]!).toBeCloseTo(perG, 9)
      },
    ),
  ))
