import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import reference from '../fixtures/reference.json'
import { ppmInterval } from '../cure/ppm-interval'
import { propagate, scaleFigure, withinTolerance } from './propagate'

const ratio = ([agentG, share, meatG]: readonly number[]) => (1e6 * agentG! * share!) / meatG!

describe('worst case and k = 2 by moving each input', () => {
  it.each(reference.ppm_interval)('agrees with the closed form: $greenWeightG g with $agentG g', (c) => {
    const found = propagate(
      [
        scaleFigure(c.agentG, c.agentReadabilityG),
        withinTolerance(c.nitriteFraction, c.labelTolerance),
        scaleFigure(c.greenWeightG, c.meatReadabilityG),
      ],
      ratio,
    )
    const closed = ppmInterval(
      [{ massG: c.agentG, readabilityG: c.agentReadabilityG, readings: 1, share: c.nitriteFraction, shareTolerance: c.labelTolerance }],
      { massG: c.greenWeightG, readabilityG: c.meatReadabilityG, readings: 1 },
    )
    expect(found.low / c.lowPpm).toBeCloseTo(1, 9)
    expect(found.high / c.highPpm).toBeCloseTo(1, 9)
    expect(found.expanded / closed.expandedPpm).toBeCloseTo(1, 6)
  })
  it('a sum of independent figures has the root of the sum of their squares', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 10, noNaN: true }), { minLength: 1, maxLength: 6 }),
        (divisions) => {
          const inputs = divisions.map(d => scaleFigure(100, d))
          const found = propagate(inputs, x => x.reduce((a, b) => a + b, 0))
          expect(found.expanded).toBeCloseTo((2 * Math.hypot(...divisions)) / Math.sqrt(12), 6)
          expect(found.high - found.low).toBeCloseTo(
            divisions.reduce((a, b) => a + b, 0),
            6,
          )
        },
      ),
    )
  })
  it('knows no doubt where there is none', () =>
    expect(propagate([{ value: 3, worst: 0, standard: 0 }], ([x]) => x! * x!)).toEqual({
      value: 9,
      low: 9,
      high: 9,
      expanded: 0,
    }))
})
