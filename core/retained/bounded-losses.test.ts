import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import { boundedLosses, type PieceLoad } from './bounded-losses'
import { leastStayed, type Lost } from './stayed'

const hours = (n: number) => n * MS_PER_HOUR
const unseen = (at: number, more: Partial<Lost> = {}): Lost => ({
  atMs: hours(at),
  pieces: [1],
  highG: null,
  saltLies: false,
  tookSalt: false,
  lay: false,
  ...more,
})
const LOADS: PieceLoad[] = [{ pieceId: 1, greenHighG: 8600, puts: [{ atMs: 0, highG: 240 }] }]
const weighed = (lowG: number, at = 200) => [{ atMs: hours(at), pieces: [1], lowG }]

describe('losses bounded by a weighing', () => {
  it('are at most green and put on, less what the meat weighs', () =>
    expect(boundedLosses([unseen(30)], weighed(8690), LOADS)).toEqual([{ ...unseen(30), highG: 150 }]))
  it('stay unseen without a weighing after them, or of other pieces', () => {
    expect(boundedLosses([unseen(30)], weighed(8690, 20), LOADS)[0]!.highG).toBeNull()
    expect(boundedLosses([unseen(30, { pieces: [1, 2] })], weighed(8690), LOADS)[0]!.highG).toBeNull()
  })
  it('roughly told they stay as they were told, unless they come to more than that', () => {
    const seen = unseen(30, { highG: 60 })
    expect(boundedLosses([seen], weighed(8690), LOADS)).toEqual([seen])
    const days = [30, 54, 78].map(at => unseen(at, { highG: 81 }))
    expect(boundedLosses(days, weighed(8690), LOADS).map(loss => loss.highG)).toEqual([81, 69, 0])
  })
  it('the first day\'s, and what ran off under salt, come first', () => {
    const losses = [unseen(54, { highG: 100 }), unseen(78, { highG: 100, saltLies: true }), unseen(20, { highG: 20 })]
    expect(boundedLosses(losses, weighed(8690), LOADS).map(loss => loss.highG)).toEqual([30, 100, 20])
  })
  it('heavier than it can have been bounds nothing away', () =>
    expect(boundedLosses([unseen(30)], weighed(9000), LOADS)[0]!.highG).toBe(0))
  it('with more put on between count for the whole bound each', () => {
    const loads = [{ pieceId: 1, greenHighG: 8600, puts: [{ atMs: 0, highG: 120 }, { atMs: hours(40), highG: 120 }] }]
    expect(boundedLosses([unseen(30), unseen(60)], weighed(8690), loads).map(loss => loss.highG)).toEqual([150, 150])
  })
  it('however the true amounts were shared out over the days, the bounded figure is never above the true one', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 7, max: 190 }), fc.double({ min: 0.1, max: 60, noNaN: true }), fc.boolean()), {
          minLength: 1,
          maxLength: 6,
        }),
        (drainings) => {
          const truly = drainings.map(([at, g, saltLies]) => unseen(at, { highG: g, saltLies }))
          const runOffG = drainings.reduce((sum, [, g]) => sum + g, 0)
          // Some told roughly, the others not at all.
          const told = truly
            .map((loss, i) => ({ ...loss, highG: i % 2 ? null : loss.highG! + 40 }))
            .toSorted((a, b) => a.atMs - b.atMs)
          const stayed = (losses: Lost[]) =>
            leastStayed({
              rubbedAtMs: 0,
              pieces: [{ pieceId: 1, greenG: 8600, puts: [{ atMs: 0, saltLowG: 206, nitriteLowG: 1.27 }] }],
              losses,
              mostlyOnFat: false,
              thicknessMm: 40,
            }).leastPpm!
          expect(stayed(boundedLosses(told, weighed(8840 - runOffG), LOADS))).toBeLessThanOrEqual(stayed(truly) + 1e-9)
        },
      ),
    ))
})
