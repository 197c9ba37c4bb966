import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import { BRINE_FULL_SHARE } from '../cure/formulate'
import { leastStayed, type Lost, type StayedQuestion } from './stayed'

const hours = (n: number) => n * MS_PER_HOUR
const lost = (at: number, g: number | null, more: Partial<Lost> = {}): Lost => ({
  atMs: hours(at),
  pieces: [1],
  highG: g,
  saltLies: false,
  tookSalt: false,
  lay: false,
  ...more,
})
/** 206 g of salt and 148 ppm at its lowest, on 8.6 kg in one tub. */
const tub = (losses: Lost[], more: Partial<StayedQuestion> = {}) =>
  leastStayed({
    rubbedAtMs: 0,
    pieces: [{ pieceId: 1, greenG: 8600, puts: [{ atMs: 0, saltLowG: 206, nitriteLowG: (148 * 8600) / 1e6 }] }],
    losses,
    mostlyOnFat: false,
    thicknessMm: 40,
    ...more,
  })

describe('the least that stayed', () => {
  it('with nothing drained is what went in', () => {
    expect(tub([]).leastPpm).toBeCloseTo(148, 9)
    expect(tub([]).lostShare).toBeCloseTo(0, 12)
  })
  it('100 g after a day: at most 16.0 % lost, at least 124 ppm stayed', () => {
    const found = tub([lost(30, 100)])
    expect(found.lostShare! * 100).toBeCloseTo(16.0, 1)
    expect(found.leastPpm).toBeCloseTo(124.3, 1)
  })
  it('100 g on the first day, or with salt to be seen: at most 38.4 %, at least 91 ppm', () => {
    for (const found of [tub([lost(20, 100)]), tub([lost(30, 100, { saltLies: true })])]) {
      expect(found.lostShare! * 100).toBeCloseTo(38.4, 1)
      expect(found.leastPpm).toBeCloseTo(91.1, 1)
    }
  })
  it('a bag that leaks loses its own: the worst of six, not the lot\'s share', () => {
    const ids = [1, 2, 3, 4, 5, 6]
    const found = tub([lost(30, 100, { pieces: [2] })], {
      pieces: ids.map(pieceId => ({
        pieceId,
        greenG: 8600 / 6,
        puts: [{ atMs: 0, saltLowG: 206 / 6, nitriteLowG: (148 * 8600) / 6e6 }],
      })),
    })
    // The liquid can hold 33.0 of the bag's 34.3 g of salt.
    const bagPpm = 148 * (1 - (1.25 * BRINE_FULL_SHARE * 600) / 206)
    expect(found.leastPpm).toBeCloseTo(bagPpm, 6)
    expect(found.pieces.map(piece => Math.round(piece.leastPpm!))).toEqual([148, Math.round(bagPpm), 148, 148, 148, 148])
  })
  it('poured off in two or in one is the same loss', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 200, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (g, share) => {
        const [once, twice] = [tub([lost(30, g)]), tub([lost(30, g * share), lost(40, g * (1 - share))])]
        expect(twice.leastPpm).toBeCloseTo(once.leastPpm!, 6)
      }),
    ))
  it('never more than went in, never less than nothing, less with every draining', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ at: fc.integer({ min: 7, max: 200 }), g: fc.double({ min: 0, max: 900, noNaN: true }) }), {
          maxLength: 8,
        }),
        (drainings) => {
          const losses = drainings.map(({ at, g }) => lost(at, g))
          const [all, fewer] = [tub(losses).leastPpm!, tub(losses.slice(1)).leastPpm!]
          expect(all).toBeGreaterThanOrEqual(0)
          expect(all).toBeLessThanOrEqual(fewer + 1e-9)
          expect(fewer).toBeLessThanOrEqual(148 + 1e-9)
        },
      ),
    ))
  it('what goes on after a draining is not lost by it', () => {
    const puts = [0, 40].map(at => ({ atMs: hours(at), saltLowG: 103, nitriteLowG: 0.5 }))
    const found = tub([lost(30, 2000)], { pieces: [{ pieceId: 1, greenG: 8600, puts }] })
    expect(found.leastPpm).toBeCloseTo((1e6 * 0.5) / 8600, 9)
  })
  it.each([
    ['not_seen', tub([lost(30, null)])],
    ['early', tub([lost(6, 10)])],
    ['took_salt', tub([lost(30, 10, { tookSalt: true })])],
    ['on_fat', tub([lost(30, 10)], { mostlyOnFat: true })],
  ])('is not shown: %s', (why, found) =>
    expect(found).toEqual({ leastPpm: null, lostShare: null, why, pieces: [{ pieceId: 1, leastPpm: null }] }))
  it('one bag of which nobody knows hides the lot\'s figure, not the others\'', () => {
    const found = tub([lost(30, null, { pieces: [2] })], {
      pieces: [1, 2].map(pieceId => ({ pieceId, greenG: 1000, puts: [{ atMs: 0, saltLowG: 25, nitriteLowG: 0.15 }] })),
    })
    expect(found).toMatchObject({ leastPpm: null, why: 'not_seen', pieces: [{ leastPpm: 150 }, { leastPpm: null }] })
  })
})
