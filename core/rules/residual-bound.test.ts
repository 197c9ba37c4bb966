import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { residualBound } from './residual-bound'
import { GREEN_G } from '../fixtures/salt-weighed-samples'

describe('residual nitrite by mass balance', () => {
  const bound = (highPpm: number, yieldShare: number | null, maxPpm: number | null) =>
    residualBound({
      nitriteHighG: (highPpm * GREEN_G) / 1e6,
      greenG: GREEN_G,
      finishedLowG: yieldShare === null ? null : yieldShare * GREEN_G,
      maxPpm,
    })
  it('157 ppm at worst and 85 % leave at most 184.7 ppm: under 200 without a test, not under 175', () => {
    expect(bound(157, 0.85, 200)).toMatchObject({ ppm: expect.closeTo(184.7, 1), proved: true })
    expect(bound(157, 0.85, 175).proved).toBe(false)
    expect(bound(157, 0.85, 200).leastYield).toBeCloseTo(0.785, 3)
    expect(bound(157, 0.85, 175).leastYield).toBeCloseTo(0.897, 3)
  })
  it('dried belly never passes, and nothing does without a weight or a figure', () => {
    for (const share of [0.6, 0.65, 0.7]) expect(bound(157, share, 200).proved).toBe(false)
    expect(bound(157, null, 200)).toMatchObject({ ppm: null, proved: false })
    expect(bound(157, 0.9, null)).toMatchObject({ leastYield: null, proved: false })
  })
  it('conserves nitrite: the bound times what is left is what went in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: 0.3, max: 1.1, noNaN: true }),
        (highPpm, share) => {
          expect(bound(highPpm, share, 200).ppm! * share).toBeCloseTo(highPpm, 6)
        },
      ),
    )
  })
})
