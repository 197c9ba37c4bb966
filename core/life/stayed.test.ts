import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import { BRINE_FULL_SHARE } from '../cure/formulate'
import { leastStayed, type StayedQuestion } from './stayed'

const hours = (n: number) => n * MS_PER_HOUR
/** 206 g of salt and 148 ppm at its lowest, on 8.6 kg in one tub. */
const tub = (losses: { at: number; g: number | null; saltLies?: boolean }[], more: Partial<StayedQuestion> = {}) =>
  leastStayed({
    rubbedAtMs: 0,
    spots: [{ spot: 'tub', greenG: 8600 }],
    puts: [{ atMs: 0, spot: 'tub', saltLowG: 206, nitriteLowG: (148 * 8600) / 1e6 }],
    losses: losses.map(({ at, g, saltLies = false }) => ({ atMs: hours(at), spot: 'tub', highG: g, saltLies })),
    excess: false,
    mostlyOnFat: false,
    ...more,
  })

describe('the least that stayed', () => {
  it('with nothing drained is what went in', () => {
    const found = tub([])
    expect(found.shown && found.leastPpm).toBeCloseTo(148, 9)
  })
  it('100 g after a day: at most 16.0 % lost, at least 124 ppm stayed', () => {
    const found = tub([{ at: 30, g: 100 }])
    expect(found).toMatchObject({ shown: true })
    if (!found.shown) return
    expect(found.lostShare * 100).toBeCloseTo(16.0, 1)
    expect(found.leastPpm).toBeCloseTo(124.3, 1)
  })
  it('100 g on the first day, or with salt to be seen: at most 38.4 %, at least 91 ppm', () => {
    for (const found of [tub([{ at: 20, g: 100 }]), tub([{ at: 30, g: 100, saltLies: true }])]) {
      if (!found.shown) throw new Error(found.why)
      expect(found.lostShare * 100).toBeCloseTo(38.4, 1)
      expect(found.leastPpm).toBeCloseTo(91.1, 1)
    }
  })
  it('a bag that leaks loses its own: the worst of six, not the lot\'s share', () => {
    const spots = [1, 2, 3, 4, 5, 6].map(n => ({ spot: `bag ${n}`, greenG: 8600 / 6 }))
    const found = tub([], {
      spots,
      puts: spots.map(({ spot }) => ({ atMs: 0, spot, saltLowG: 206 / 6, nitriteLowG: (148 * 8600) / 6e6 })),
      losses: [{ atMs: hours(30), spot: 'bag 2', highG: 100, saltLies: false }],
    })
    // The liquid can hold 33.0 of the bag's 34.3 g of salt.
    expect(found.shown && found.leastPpm).toBeCloseTo(148 * (1 - (1.25 * BRINE_FULL_SHARE * 600) / 206), 6)
  })
  it('poured off in two or in one is the same loss', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 200, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (g, share) => {
        const [once, twice] = [tub([{ at: 30, g }]), tub([{ at: 30, g: g * share }, { at: 40, g: g * (1 - share) }])]
        expect(twice.shown && twice.leastPpm).toBeCloseTo(once.shown ? once.leastPpm : -1, 6)
      }),
    ))
  it('never more than went in, never less than nothing, less with every draining', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ at: fc.integer({ min: 7, max: 200 }), g: fc.double({ min: 0, max: 900, noNaN: true }) }), {
          maxLength: 8,
        }),
        (losses) => {
          const [all, fewer] = [tub(losses), tub(losses.slice(1))]
          if (!all.shown || !fewer.shown) throw new Error('not shown')
          expect(all.leastPpm).toBeGreaterThanOrEqual(0)
          expect(all.leastPpm).toBeLessThanOrEqual(fewer.leastPpm + 1e-9)
          expect(fewer.leastPpm).toBeLessThanOrEqual(148 + 1e-9)
        },
      ),
    ))
  it('what goes on after a draining is not lost by it', () => {
    const puts = [
      { atMs: 0, spot: 'tub', saltLowG: 103, nitriteLowG: 0.5 },
      { atMs: hours(40), spot: 'tub', saltLowG: 103, nitriteLowG: 0.5 },
    ]
    const found = tub([{ at: 30, g: 2000 }], { puts })
    expect(found.shown && found.leastPpm).toBeCloseTo((1e6 * 0.5) / 8600, 9)
  })
  it.each([
    ['not_seen', tub([{ at: 30, g: null }])],
    ['early', tub([{ at: 6, g: 10 }])],
    ['excess', tub([{ at: 30, g: 10 }], { excess: true })],
    ['on_fat', tub([{ at: 30, g: 10 }], { mostlyOnFat: true })],
  ])('is not shown: %s', (why, found) => expect(found).toEqual({ shown: false, why }))
})
