import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import { leastOf, lotStayed, type LotStayedQuestion } from './lot-stayed'
import type { Step } from '../life/step'
import { weighingShows, type ToWeigh } from './weighing-shows'

const step = (id: number, kind: Step['kind'], atH: number, pieces: number[], figures: object) =>
  ({ id, kind, pieces, placeId: null, fromMs: atH * MS_PER_HOUR, toMs: atH * MS_PER_HOUR, figures }) as Step

/** One piece of belly, 2 kg at 150 ppm, with 55 g on it, on a rack. */
const lot = (more: Partial<LotStayedQuestion> = {}): LotStayedQuestion => ({
  method: 'dry',
  cut: 'belly',
  sides: null,
  rubbedAtMs: 0,
  waterG: 0,
  thicknessMm: 40,
  oneFace: false,
  pieces: [{ pieceId: 1, greenG: 2000, greenOffG: 0.5, lowPpm: 150 }],
  puts: [
    { atMs: 0, massG: 50, saltShare: 1, nitriteShare: 0, pieces: null },
    { atMs: 0, massG: 5, saltShare: 0.9375, nitriteShare: 0.0625, pieces: null },
  ],
  mixReadabilityG: 0,
  upperBound: false,
  steps: [step(1, 'rub', 0, [1], { spots: {}, face: 'flesh' })],
  ...more,
})
const POURED = { how: 'poured_off', saltLies: false, tookSalt: false } as const
const meat = (more: Partial<ToWeigh> = {}): ToWeigh => ({ pieces: [1], drained: POURED, atMs: 72 * MS_PER_HOUR, offG: 1, ...more })
/** The least that stayed once the meat was really weighed so. */
const told = (q: LotStayedQuestion, { pieces, atMs, offG, drained }: ToWeigh, netG: number) => {
  const hour = atMs / MS_PER_HOUR
  const drain = step(50, 'drain', hour, [...pieces], { ...drained, drained: null, back: false })
  const weigh = step(51, 'weigh', hour, [...pieces], { what: 'meat', netG, offG, saltLies: false })
  return leastOf({ lot: null, stayed: lotStayed({ ...q, steps: [...q.steps, drain, weigh] }) }, pieces) ?? 0
}

describe('what weighing the meat would show', () => {
  it('by hand: of a rack after a day, 1.25 x 0.264 a gram of the salt that lay there', () => {
    // 150 (1 - 1.25 x 0.26395 x g / 54.6875) = 100 where 55.25 g left: of 2,055.5 g at the heaviest 2,000.25, and 1 g more for the scale.
    const saltG = 50 + 5 * 0.9375
    const mayLeaveG = (saltG / 3) / (1.25 * 0.26395)
    const { allG, fromG } = weighingShows(lot(), meat(), 100)
    expect(allG).toBe(2055)
    expect(fromG).toBe(Math.ceil(2000.5 + 55 - mayLeaveG + 1))
  })

  it('is the weight from which on what is told really shows it, and not a gram less', () => {
    fc.assert(
      fc.property(
        fc.record({
          greenG: fc.integer({ min: 300, max: 9000 }),
          saltShare: fc.double({ min: 0.015, max: 0.06, noNaN: true }),
          lowPpm: fc.integer({ min: 90, max: 200 }),
          offG: fc.integer({ min: 0, max: 50 }),
          hours: fc.integer({ min: 7, max: 400 }),
          bag: fc.boolean(),
          saltLies: fc.boolean(),
          thicknessMm: fc.integer({ min: 15, max: 90 }),
        }),
        ({ greenG, saltShare, lowPpm, offG, hours, bag, saltLies, thicknessMm }) => {
          const q = lot({
            thicknessMm,
            pieces: [{ pieceId: 1, greenG, greenOffG: 1, lowPpm }],
            puts: [{ atMs: 0, massG: greenG * saltShare, saltShare: 0.99, nitriteShare: 0.004, pieces: null }],
            steps: [step(1, 'rub', 0, [1], { spots: bag ? { 1: 'bag 1' } : {}, face: 'flesh' })],
          })
          const weighed = meat({ atMs: hours * MS_PER_HOUR, offG, drained: { ...POURED, saltLies, how: bag ? 'leaked' : 'poured_off' } })
          const { fromG, allG } = weighingShows(q, weighed, 100)
          if (fromG === null) expect(told(q, weighed, Math.ceil(allG + offG) + 1)).toBeLessThan(100)
          else {
            expect(told(q, weighed, fromG)).toBeGreaterThanOrEqual(100)
            if (fromG > 1) expect(told(q, weighed, fromG - 1)).toBeLessThan(100)
          }
        },
      ),
      { numRuns: 300, seed: 9 },
    )
  })

  it('where salt lay there still is heavier: each gram of the liquid may have taken three for one', () => {
    const mayLeaveG = (50 + 5 * 0.9375) / 3 / (3 * 0.26395)
    const lay = meat({ drained: { ...POURED, saltLies: true } })
    expect(weighingShows(lot(), lay, 100).fromG).toBe(Math.ceil(2000.5 + 55 - mayLeaveG + 1))
    expect(weighingShows(lot(), meat({ drained: { ...POURED, tookSalt: true } }), 100)).toMatchObject({ fromG: null, why: 'took_salt' })
  })

  it('is nothing where no weight can show it, and says why', () => {
    expect(weighingShows(lot(), meat({ atMs: 3 * MS_PER_HOUR }), 100)).toMatchObject({ fromG: null, why: 'early' })
    expect(weighingShows(lot({ cut: 'jowl' }), meat(), 100)).toMatchObject({ fromG: null, why: 'on_fat' })
    // Less went in than is asked for: no draining is to blame.
    const low = lot({ pieces: [{ pieceId: 1, greenG: 2000, greenOffG: 0.5, lowPpm: 90 }] })
    expect(weighingShows(low, meat(), 100)).toMatchObject({ fromG: null, why: null })
    // It was rinsed: water hides what ran off.
    const rinsed = lot()
    const out = step(2, 'out', 60, [1], { rinses: 1 })
    expect(weighingShows({ ...rinsed, steps: [...rinsed.steps, out] }, meat(), 100)).toMatchObject({ fromG: null, why: 'not_seen' })
  })
})
