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
  placeC: 4,
  errorC: 0,
  ...more,
})

describe('two readings bound a night', () => {
  it('as Newton\'s law goes on from them', () => {
    // 36 to 26 over the fridge in two hours: then to 22.7.
    const perHour = Math.log(36 / 26) / 2
    expect(passedBy(26.7, night())! / HOUR).toBeCloseTo(5 + Math.log(26 / 22.7) / perHour, 9)
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
    ['a place that is no colder', { placeC: 26.7 }],
    ['no reading after them', { next: null }],
    ['one that does not show it', { next: { atMs: 13 * HOUR, coreC: 26.5 }, errorC: 0.3 }],
  ])('not: %s', (_why, more) => expect(passedBy(26.7, night(more as Partial<Night>))).toBeNull())
})

it('no simulated slab is later than its bound says, read by a thermometer that is off', () => {
  const drawn = fc.record({
    pullC: fc.integer({ min: 56, max: 70 }),
    halfMm: fc.integer({ min: 10, max: 45 }),
    diffusivity: fc.double({ min: 0.8e-7, max: 1.4e-7, noNaN: true }),
    h: fc.double({ min: 5, max: 30, noNaN: true }),
    placeC: fc.integer({ min: 2, max: 6 }),
    swing: fc.double({ min: 0, max: 4, noNaN: true }),
    firstMinute: fc.integer({ min: 91, max: 240 }),
    apart: fc.integer({ min: 45, max: 300 }),
    off: fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -1, max: 1, noNaN: true })),
    tempC: fc.constantFrom(26.7, 7.2),
  })
  let bounded = 0
  fc.assert(
    fc.property(drawn, (q) => {
      // The fridge goes up and down under the warmest that its record shows.
      const airC = (minute: number) => q.placeC - q.swing * (0.5 + 0.5 * Math.sin(minute / 17))
      const cores = slabCores({ ...q, startC: q.pullC, minutes: 20 * 60, airC })
      const errorC = 0.5
      const read = (minute: number, off: number) => ({ atMs: minute * MINUTE, coreC: cores[minute]! + off * errorC })
      const last = cores.length - 1
      const boundMs = passedBy(q.tempC, {
        first: read(q.firstMinute, q.off[0]),
        second: read(q.firstMinute + q.apart, q.off[1]),
        next: read(last, 0),
        pulledAtMs: 0,
        placeC: q.placeC,
        errorC,
      })
      if (boundMs === null) return
      bounded += 1
      expect(cores.findIndex(coreC => coreC <= q.tempC)).toBeLessThanOrEqual(Math.ceil(boundMs / MINUTE))
    }),
    { numRuns: 80 },
  )
  // A check that bounds nothing would show nothing.
  expect(bounded).toBeGreaterThan(20)
})
