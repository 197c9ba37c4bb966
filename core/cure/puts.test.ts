import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cure, weights } from '../fixtures/methods-samples'
import { nitriteShare, CURING_SALT_NO_1 } from './agent'
import type { PutWeighed } from './cure-weighed'
import { loadsPpm, lotPpm, piecesPpm } from './pieces-ppm'

const weak = { ...CURING_SALT_NO_1, nitriteFraction: 0.006, labelTolerance: 0.0003, saltFraction: 0.994 }
const put = (more: Partial<PutWeighed>): PutWeighed => ({
  agent: CURING_SALT_NO_1,
  agentG: 4.6,
  agentReadings: 1,
  mixG: 70,
  readabilityG: 0.1,
  pieces: null,
  ...more,
})

describe('what goes on after the rub', () => {
  it('a second half of the same is as if the lot had got both at once', () => {
    const [half, whole] = [lotPpm(cure({ agentG: 4.6, mixG: 70, adds: [put({})] })), lotPpm(cure({ agentReadings: 2 }))]
    expect(half.ppm).toBeCloseTo(whole.ppm, 9)
    expect(half.lowPpm).toBeCloseTo(whole.lowPpm, 9)
    expect(half.highPpm).toBeCloseTo(whole.highPpm, 9)
    expect(half.expandedPpm).toBeCloseTo(whole.expandedPpm, 9)
  })
  it('counts each curing salt by its own share', () => {
    const found = lotPpm(cure({ adds: [put({ agent: weak, agentG: 30 })] }))
    expect(found.ppm).toBeCloseTo((1e6 * (9.2 * 0.0625 + 30 * 0.006)) / 3840, 9)
  })
  it('on one piece alone raises that one, and the lot by as much in all', () => {
    fc.assert(
      fc.property(weights(), fc.double({ min: 0, max: 20, noNaN: true }), fc.nat(), (piecesG, agentG, which) => {
        const at = which % piecesG.length
        const lot = cure({ pieces: piecesG.map(massG => ({ massG, readings: 1 })), adds: [put({ agentG, pieces: [at] })] })
        const found = piecesPpm(lot)
        const wholeG = piecesG.reduce((a, b) => a + b, 0)
        const nitriteG = (9.2 + agentG) * nitriteShare(CURING_SALT_NO_1)
        expect(found.reduce((sum, piece, i) => sum + piece.ppm * piecesG[i]!, 0) / 1e6).toBeCloseTo(nitriteG, 9)
        found.forEach((piece, i) => {
          expect(piece.lowPpm).toBeLessThanOrEqual(piece.ppm)
          expect(piece.highPpm).toBeGreaterThanOrEqual(piece.ppm)
          if (i !== at) expect(piece.ppm).toBeCloseTo((1e6 * 9.2 * 0.0625) / wholeG, 9)
        })
      }),
    )
  })
  it('splits the lot into loads only where something went on some pieces alone', () => {
    expect(loadsPpm(cure({ adds: [put({})] }))).toMatchObject([{ pieces: null, meaning: 'exact' }])
    expect(loadsPpm(cure({ adds: [put({ pieces: [1] })] })).map(load => load.pieces)).toEqual([[0], [1]])
    // Plain salt on one piece parts nothing.
    expect(loadsPpm(cure({ adds: [put({ pieces: [1], agentG: 0, agentReadings: 0 })] }))).toHaveLength(1)
  })
  it('is open upwards where nobody weighed it, on those pieces', () => {
    expect(loadsPpm(cure({ unweighed: [1] })).map(load => load.meaning)).toEqual(['exact', 'open'])
    expect(loadsPpm(cure({ unweighed: [0, 1] }))).toMatchObject([{ pieces: null, meaning: 'open' }])
    expect(loadsPpm(cure({ method: 'wet_equilibrium', waterG: 2000, unweighed: [0] }))[0]!.meaning).toBe('open')
  })
  it('in one brine adds up for all pieces', () => {
    const bath = { method: 'wet_equilibrium', waterG: 2000 } as const
    const found = piecesPpm(cure({ ...bath, adds: [put({ pieces: [0] })] }))
    expect(found[0]!.ppm).toBeCloseTo((1e6 * 13.8 * 0.0625) / (3840 + 2000 + 210), 9)
    expect(found[1]).toEqual(found[0])
  })
  it('what was shaken off comes off of all that went on', () => {
    const all = lotPpm(cure({ method: 'excess', adds: [put({})] })).ppm
    expect(lotPpm(cure({ method: 'excess', adds: [put({})], weighedBackG: 105 })).ppm).toBeCloseTo(all / 2, 9)
  })
})
