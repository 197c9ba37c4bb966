import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { wentOn, type PutOnPieces } from './went-on'

const put = (more: Partial<PutOnPieces>): PutOnPieces => ({
  massG: 100,
  saltFraction: 1,
  sugarFraction: 0,
  pieces: null,
  unweighed: false,
  ...more,
})
const PIECES = [{ number: 1, greenG: 1840 }, { number: 2, greenG: 2160 }]

describe('salt and sugar on each piece', () => {
  it('is one share where all is shared by weight', () => {
    for (const piece of wentOn(PIECES, [put({}), put({ massG: 40, saltFraction: 0, sugarFraction: 0.82 })])) {
      expect(piece.saltShare).toBeCloseTo(0.025, 12)
      expect(piece.sugarShare).toBeCloseTo((40 * 0.82) / 4000, 12)
    }
  })
  it('is more where more went on alone, and open where nobody weighed', () => {
    const [one, two] = wentOn(PIECES, [put({}), put({ massG: 20, pieces: [2] }), put({ massG: 0, pieces: [1], unweighed: true })])
    expect(one).toMatchObject({ saltShare: 0.025, open: true })
    expect(two!.saltShare).toBeCloseTo(0.025 + 20 / 2160, 12)
    expect(two!.open).toBe(false)
    // Pepper by eye opens nothing.
    expect(wentOn(PIECES, [put({ massG: 0, saltFraction: 0, unweighed: true })])[0]!.open).toBe(false)
  })
  it('adds up to what went on, however it is shared out', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 50, max: 9000, noNaN: true }), { minLength: 2, maxLength: 8 }),
        fc.array(fc.record({ massG: fc.double({ min: 0, max: 300, noNaN: true }), some: fc.boolean() }), { maxLength: 5 }),
        (greens, told) => {
          const pieces = greens.map((greenG, i) => ({ number: i + 1, greenG }))
          const puts = told.map(({ massG, some }) => put({ massG, pieces: some ? [1, 2] : null }))
          const onPieces = wentOn(pieces, puts).reduce((sum, piece, i) => sum + piece.saltShare * greens[i]!, 0)
          expect(onPieces).toBeCloseTo(told.reduce((sum, one) => sum + one.massG, 0), 6)
        },
      ),
    )
  })
})
