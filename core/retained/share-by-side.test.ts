import fc from 'fast-check'
import { expect, it } from 'vitest'
import { isMostlyOnFat, shareBySide, SIDES, USUAL_SIDES } from './share-by-side'

const mass = fc.double({ min: 0.1, max: 5000, noNaN: true })
const share = fc.double({ min: 0.01, max: 1, noNaN: true })

it('nothing is lost, and sides take by their shares whatever these add up to', () =>
  fc.assert(
    fc.property(mass, share, share, share, (massG, flesh, fat, edges) => {
      const sides = shareBySide(massG, { flesh, fat, edges })
      expect(SIDES.reduce((sum, side) => sum + sides[side], 0)).toBeCloseTo(massG, 6)
      expect(sides.flesh * fat).toBeCloseTo(sides.fat * flesh, 6)
    }),
  ))
it('usually six parts go on the flesh, three on the fat, one on the edges', () =>
  expect(shareBySide(100, USUAL_SIDES)).toEqual({
    flesh: expect.closeTo(60, 9),
    fat: expect.closeTo(30, 9),
    edges: expect.closeTo(10, 9),
  }))
it('lies mostly on fat where fat or rind takes more than the flesh, and on a jowl always', () => {
  expect(isMostlyOnFat('belly', null)).toBe(false)
  expect(isMostlyOnFat('belly', USUAL_SIDES)).toBe(false)
  expect(isMostlyOnFat('belly', { flesh: 0.4, fat: 0.4, edges: 0.2 })).toBe(false)
  expect(isMostlyOnFat('belly', { flesh: 0.4, fat: 0.41, edges: 0.19 })).toBe(true)
  expect(isMostlyOnFat('jowl', USUAL_SIDES)).toBe(true)
})
