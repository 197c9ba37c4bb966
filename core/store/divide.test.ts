import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { accountFor, meatPieceLabel } from './divide'

const division = (fromG: number, piecesG: number[], more = {}) => ({
  fromG,
  piecesG,
  trimG: 0,
  boneG: 0,
  rindG: 0,
  ...more,
})

describe('what the knife leaves', () => {
  it.each([
    [division(10_000, [6000, 3000], { boneG: 800, trimG: 150 }), 'accounted', 50],
    [division(10_000, [6000, 3000], { boneG: 800 }), 'ask', 200],
    [division(10_000, [6000, 4000], { trimG: 150 }), 'ask', -150],
    [division(10_000, [6000, 4000], { trimG: 201 }), 'too_much', -201],
    [division(10_000, [10_000]), 'accounted', 0],
  ] as const)('%j: %s', (d, status, unaccountedG) =>
    expect(accountFor(d as ReturnType<typeof division>)).toMatchObject({ status, unaccountedG }),
  )
  it('keeps mass: whole = parts + unaccounted', () => {
    const massG = fc.double({ min: 0, max: 50_000, noNaN: true })
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50_000, noNaN: true }),
        fc.array(massG, { maxLength: 12 }),
        massG,
        massG,
        massG,
        (fromG, piecesG, trimG, boneG, rindG) => {
          const { unaccountedG } = accountFor({ fromG, piecesG, trimG, boneG, rindG })
          const parts = piecesG.reduce((a, b) => a + b, 0) + trimG + boneG + rindG
          expect(parts + unaccountedG).toBeCloseTo(fromG, 6)
        },
      ),
    )
  })
  it('names each piece by its place', () =>
    expect([meatPieceLabel(null, 3), meatPieceLabel('3', 1), meatPieceLabel('3.1', 12)]).toEqual(['3', '3.1', '3.1.12']))
})
