import { expect, it } from 'vitest'
import { equalScoopsSalt } from './equal-scoops-salt'

it('deals every gram of salt, and the heavy piece gets less of it', () => {
  const piecesG = [2600, 1400]
  const shares = equalScoopsSalt(80, piecesG)
  expect(shares.reduce((sum, share, i) => sum + share * piecesG[i]!, 0)).toBeCloseTo(80, 9)
  // 2 % of the lot is 40 g a piece: 1.54 % of the heavy one, 2.86 % of the light one.
  expect(shares[0]).toBeCloseTo(40 / 2600, 12)
  expect(shares[1]).toBeCloseTo(40 / 1400, 12)
  expect(equalScoopsSalt(50, [1000])).toEqual([0.05])
})
