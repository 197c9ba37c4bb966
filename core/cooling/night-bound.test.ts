import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { slabCores } from '../fixtures/slab-cores'
import { passedBy, type Night } from './night-bound'

const MINUTE = 60_000
const HOUR = 60 * MINUTE
const night = (more: Partial<Night> = {}): Night => ({
  first: { atMs: 3 * HOUR, coreC: 40 },
  second: { atMs: 5 * HOUR, coreC: 30 },
  next: { atMs: 13 * HOUR, coreC: 5 },
  pulledAtMs: 0,
  coldestC: 4,
  warmestC: 4,
  errorC: 0,
  ...more,
})

describe('two readings bound a night', () => {
  it('as Newton\'s law goes on from them', () => {
    // 36 to 26 over the fridge in two hours: then to 22.7.
    const perHour = Math.log(36 / 26) / 2
    expect(passedBy(26.7, night())! / HOUR).toBeCloseTo(5 + Math.log(26 / 22.7) / perHour, 9)
  })
  it('slower by the coldest that the place was before, and later by the warmest since', () => {
    const perHour = Math.log(39 / 29) / 2
    expect(passedBy(26.7, night({ coldestC: 1 }))! / HOUR).toBeCloseTo(5 + Math.log(26 / 22.7) / perHour, 9)
    expect(passedBy(26.7, night({ coldestC: 1, warmestC: 8 }))! / HOUR).toBeCloseTo(5 + Math.log(22 / 18.7) / perHour, 9)
  })
  it('wider by the thermometer\'s error, and by no more than the reading that follows', () => {
    expect(passedBy(26.7, night({ errorC: 0.5 }))!).toBeGreaterThan(passedBy(26.7, night())!)
    expect(passedBy(26.7, night({ next: { atMs: 5.2 * HOUR, coreC: 26 } }))).toBe(5.2 * HOUR)
  })
  it.each([
    ['too near each other', { first: { atMs: 4.5 * HOUR, coreC: 40 } }],
    ['too far apart', { first: { atMs: 2 * HOUR, coreC: 40 }, second: { atMs: 8 * HOUR, coreC: 30 } }],
    ['too soon after the pull', { pulledAtMs: 2 * HOUR }],
    ['no fall beyond the error', { errorC: 5.1 }],
    ['a place that is no colder', { warmestC: 26.7 }],
    ['no reading after them', { next: null }],
    ['one that does not show it', { next: { atMs: 13 * HOUR, coreC: 26.5 }, errorC: 0.3 }],
  ])('not: %s', (_why, more) => expect(passedBy(26.7, night(more as Partial<Night>))).toBeNull())
})

describe('no simulated slab is later than its bound says', () => {
  const drawn = fc.record({
    pullC: fc.integer({ min: 56, max: 70 }),
    halfMm: fc.integer({ min: 10, max: 45 }),
    diffusivity: fc.double({ min: 0.8e-7, max: 1.4e-7, noNaN: true }),
    h: fc.double({ min: 5, max: 30, noNaN: true }),
    warmestC: fc.integer({ min: 2, max: 6 }),
    swing: fc.constantFrom(0, 2, 4, 6),
    period: fc.constantFrom(17, 60, 200, 400),
    phase: fc.double({ min: 0, max: 1, noNaN: true }),
    firstMinute: fc.integer({ min: 91, max: 240 }),
    apart: fc.integer({ min: 45, max: 300 }),
    // Off to the sides that leave the bound the least room, not at all, or to the others.
    off: fc.constantFrom([1, -1], [1, -1], [0, 0], [-1, 1]),
    tempC: fc.constantFrom(26.7, 7.2),
  })
  const errorC = 0.5
  /** Minutes that a slab passed the temperature after its bound; null: not bounded. Its fridge goes down and up. */
  const lateMin = (q: fc.TypeOfArb<typeof drawn>, coldest: (q: { warmestC: number, swing: number }) => number) => {
    const airC = (minute: number) => q.warmestC - ((minute / q.period + q.phase) % 1 < 0.5 ? q.swing : 0)
    const cores = slabCores({ ...q, startC: q.pullC, minutes: 20 * 60, airC })
    const read = (minute: number, off: number) => ({ atMs: minute * MINUTE, coreC: cores[minute]! + off * errorC })
    const boundMs = passedBy(q.tempC, {
      first: read(q.firstMinute, q.off[0]!),
      second: read(q.firstMinute + q.apart, q.off[1]!),
      next: read(cores.length - 1, 0),
      pulledAtMs: 0,
      coldestC: coldest(q),
      warmestC: q.warmestC,
      errorC,
    })
    return boundMs === null ? null : cores.findIndex(coreC => coreC <= q.tempC) - Math.ceil(boundMs / MINUTE)
  }
  const slabs = fc.sample(drawn, { numRuns: 400, seed: 1201 })

  it('read by a thermometer that is off, in a fridge that goes down and up', () => {
    const late = slabs.map(q => lateMin(q, ({ warmestC, swing }) => warmestC - swing)).filter(min => min !== null)
    expect(late.length).toBeGreaterThan(100)
    expect(Math.max(...late)).toBeLessThanOrEqual(0)
  })
  it('but some would be, were its rate read by the warmest too', () => {
    const late = slabs.map(q => lateMin(q, ({ warmestC }) => warmestC)).filter(min => min !== null)
    expect(Math.max(...late)).toBeGreaterThan(0)
  })
})
