import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { beamScale, hangWeights, weightTone } from './beam-scale'

const piece = (ppm: number) => ({ ppm, lowPpm: ppm - 10, highPpm: ppm + 10, expandedPpm: 5 })

describe('the beam', () => {
  it('goes from pixels to ppm and back', () => {
    const scale = beamScale(800, 40, 200, [piece(150)])
    for (const ppm of [0, 40, 120, 200]) expect(scale.ppm(scale.x(ppm))).toBeCloseTo(ppm, 9)
    expect(scale.x(0)).toBe(40)
  })
  it('shows the limit with air behind it, and what hangs above it', () => {
    expect(beamScale(800, 40, 200, []).maxPpm).toBeGreaterThan(200)
    expect(beamScale(800, 40, 200, [piece(290)]).maxPpm).toBeGreaterThan(300)
    expect(beamScale(800, 40, 200, [{ ...piece(200), highPpm: Infinity }]).maxPpm).toBeLessThan(1000)
  })
  it('has few enough ticks to read at any limit', () => {
    for (const limit of [108, 120, 180, 200, 625])
      expect(beamScale(800, 40, limit, []).ticks.length).toBeLessThanOrEqual(10)
  })
  it('hangs no weight on another, and keeps all of 40 within the beam', () => {
    const hung = hangWeights(
      Array.from({ length: 40 }, () => 780),
      40,
      800,
    )
    expect(new Set(hung.map(w => `${w.atX}|${w.row}`)).size).toBe(40)
    expect(hung.every(w => w.atX >= 40 && w.atX <= 800)).toBe(true)
  })
  it('fans out neighbours that are close but not alike, the beam\'s order kept', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 40, max: 800 }), { minLength: 1, maxLength: 24 }), (xs) => {
        const hung = hangWeights(xs, 40, 800)
        for (const a of hung) {
          for (const b of hung) {
            if (a.number < b.number && a.row === b.row) expect(Math.abs(a.atX - b.atX)).toBeGreaterThan(20)
          }
        }
        expect(hung.map(w => w.number).toSorted((a, b) => a - b)).toEqual(xs.map((_x, i) => i + 1))
      }),
    )
  })
  it('keeps pieces of one ppm in their order', () => {
    expect(
      hangWeights([300, 300 + 1e-10, 300 - 1e-10, 300], 40, 800)
        .toSorted((a, b) => a.atX - b.atX)
        .map(w => w.number),
    ).toEqual([1, 2, 3, 4])
  })
})

it('a weight hangs by all that it may be; an upper bound by what it is', () => {
  const limits = { floorPpm: 120, limitPpm: 200 }
  const piece = (lowPpm: number, ppm: number, highPpm: number) => ({ ppm, lowPpm, highPpm, expandedPpm: 0 })
  expect(weightTone(undefined, limits)).toBe('in')
  expect(weightTone(piece(140, 150, 160), limits)).toBe('in')
  expect(weightTone(piece(190, 198, 201), limits)).toBe('over')
  expect(weightTone(piece(119, 122, 125), limits)).toBe('under')
  expect(weightTone(piece(0, 122, 125), { ...limits, meaning: 'upper_bound' })).toBe('in')
})
