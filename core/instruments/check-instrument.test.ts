import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judgeScaleCheck, judgeThermometerCheck, withoutOffset } from './check-instrument'

describe('a scale against its check weight', () => {
  // OIML R 76-1, class III, in service: 1 d up to 500 d, 2 d up to 2,000 d, 3 d above.
  it.each([
    [2000, 2005, 5, true],
    [2000, 2006, 5, false],
    [2000, 1995, 5, true],
    [2500, 2505, 5, true],
    [2505, 2510.1, 5, true],
    [10_000, 10_011, 5, false],
    [50, 50.1, 0.1, true],
    [50, 50.2, 0.1, false],
    [100, 100.2, 0.1, true],
    [100, 100.3, 0.1, false],
    [15_000, 15_015, 5, true],
    [15_000, 15_016, 5, false],
  ])('%d g read as %d g on a %d g scale: %s', (referenceG, readG, readabilityG, passed) =>
    expect(judgeScaleCheck({ referenceG, readG, readabilityG }).passed).toBe(passed),
  )
  it('a perfect reading always passes, and the verdict is the same on both sides', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50_000, noNaN: true }),
        fc.double({ min: 0.01, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (referenceG, readabilityG, offG) => {
          expect(judgeScaleCheck({ referenceG, readG: referenceG, readabilityG }).passed).toBe(true)
          const [above, below] = [referenceG + offG, referenceG - offG].map(readG =>
            judgeScaleCheck({ referenceG, readG, readabilityG }),
          )
          expect(above!.allowed).toBe(below!.allowed)
          expect(above!.error).toBeCloseTo(-below!.error, 6)
        },
      ),
    )
  })
})

describe('a thermometer in ice water', () => {
  it.each([
    [0, 0, true],
    [0.5, 0, true],
    [-0.5, 0, true],
    [0.8, 0.8, true],
    [-1.6, -1.6, true],
    [2, 2, true],
    [2.1, 0, false],
    [-3, 0, false],
  ])('reads %d °C: offset %d, %s', (readC, offsetC, passed) =>
    expect(judgeThermometerCheck({ referenceC: 0, readC })).toMatchObject({ passed, offsetC }),
  )
  it('with its offset taken off reads what the reference says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.51, max: 2, noNaN: true }),
        fc.double({ min: -5, max: 90, noNaN: true }),
        (error, trueC) => {
          const { offsetC } = judgeThermometerCheck({ referenceC: 0, readC: error })
          expect(withoutOffset(trueC + error, offsetC)).toBeCloseTo(trueC, 9)
        },
      ),
    )
  })
})
