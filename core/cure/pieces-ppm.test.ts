import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from './agent'
import { wetEquilibriumPpm } from '../fixtures/ingoing'
import { equalScoopsPpm, lotPpm, meaningOfCure, piecesPpm } from './pieces-ppm'
import { cure, weights } from '../fixtures/methods-samples'

describe('what each method\'s ppm means', () => {
  it.each([
    ['dry', undefined, 'exact'],
    ['two_applications', undefined, 'exact'],
    ['excess', undefined, 'upper_bound'],
    ['wet_equilibrium', undefined, 'exact'],
    ['wet_pick_up', undefined, 'upper_bound'],
    ['wet_pick_up', 4200, 'exact'],
  ] as const)('%s, after %s g: %s', (method, afterG, meaning) =>
    expect(meaningOfCure(cure({ method, afterG: afterG ?? null }))).toBe(meaning),
  )
  it('an upper bound claims nothing below it', () => {
    for (const method of ['excess', 'wet_pick_up'] as const)
      expect(lotPpm(cure({ method, waterG: 2000, mostPickUp: 0.1 })).lowPpm).toBe(0)
  })
  it('what is shaken off and weighed back comes off at the mix\'s own composition', () => {
    const all = lotPpm(cure({ method: 'excess' })).ppm
    expect(lotPpm(cure({ method: 'excess', weighedBackG: 35 })).ppm).toBeCloseTo(all * 0.75, 9)
    expect(
      piecesPpm(cure({ method: 'excess', weighedBackG: 35 })).every(piece => Math.abs(piece.ppm - all * 0.75) < 1e-9),
    ).toBe(true)
    expect(lotPpm(cure({ method: 'excess', weighedBackG: 35 })).expandedPpm).toBeGreaterThan(
      lotPpm(cure({ method: 'dry', agentG: 6.9 })).expandedPpm,
    )
  })
  it('a brine left until even is shared by meat and brine, as the Handbook counts', () => {
    const found = lotPpm(cure({ method: 'wet_equilibrium', waterG: 2000, agentG: 14.4 }))
    expect(found.ppm).toBeCloseTo(wetEquilibriumPpm(3840, 2140, [{ ...CURING_SALT_NO_1, massG: 14.4 }]), 9)
    expect(found.lowPpm).toBeLessThan(found.ppm)
    expect(found.highPpm).toBeGreaterThan(found.ppm)
  })
  it('a pick-up is the brine\'s share times what was picked up', () => {
    const found = lotPpm(cure({ method: 'wet_pick_up', waterG: 2360, agentG: 40, afterG: 4224 }))
    expect(found.ppm).toBeCloseTo((((1e6 * 40 * 0.0625) / 2500) * (4224 - 3840)) / 3840, 9)
    expect(lotPpm(cure({ method: 'wet_pick_up', waterG: 2360, agentG: 40, mostPickUp: 0.1 })).ppm).toBeCloseTo(
      found.ppm,
      9,
    )
  })
})

describe('equal scoops', () => {
  it('give each piece its own ppm: the light one more, the lot the same', () => {
    fc.assert(
      fc.property(weights(), (piecesG) => {
        const lot = cure({ pieces: piecesG.map(massG => ({ massG, readings: 1 })) })
        const scoops = equalScoopsPpm(lot)
        const whole = piecesG.reduce((a, b) => a + b, 0)
        expect(scoops.reduce((sum, piece, i) => sum + piece.ppm * piecesG[i]!, 0) / whole).toBeCloseTo(
          lotPpm(lot).ppm,
          6,
        )
        scoops.forEach((piece, i) =>
          expect(piece.ppm).toBeCloseTo((((1e6 * 9.2) / piecesG.length) * 0.0625) / piecesG[i]!, 6),
        )
      }),
    )
  })
})
