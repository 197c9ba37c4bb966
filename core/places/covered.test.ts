import { describe, expect, it } from 'vitest'
import { continues, covers, type BreachOf, type HeldAbout } from './covered'

const breach: BreachOf = { reason: 'place_warm', about: 'F-0002', pieces: [1, 2], fromMs: 1000, toMs: 9000, worst: 8.1 }
const hold = (more: Partial<HeldAbout> = {}): HeldAbout => ({ ...breach, ...more })

describe('a decision on a warm place', () => {
  it('covers the facts it was made on, and what lies inside them', () => {
    expect(covers(hold(), breach)).toBe(true)
    expect(covers(hold(), { ...breach, fromMs: 2000, toMs: 3000, worst: 7.5, pieces: [2] })).toBe(true)
    expect(covers(hold({ pieces: null, about: null, fromMs: null, worst: null }), breach)).toBe(true)
  })
  it.each([
    ['longer', { toMs: 9002 }],
    ['begun before', { fromMs: 998 }],
    ['warmer', { worst: 8.2 }],
    ['of another piece', { pieces: [1, 3] }],
    ['in another place', { about: 'F-0003' }],
    ['of another reason', { reason: 'place_warm_sum' }],
  ])('does not cover what is %s', (_how, more) => expect(covers(hold(), { ...breach, ...more })).toBe(false))
  it('is about the same trouble where the stretches touch', () => {
    expect(continues(hold(), { ...breach, fromMs: 9000, toMs: 20_000 })).toBe(true)
    expect(continues(hold(), { ...breach, fromMs: 9500, toMs: 20_000 })).toBe(false)
    expect(continues(hold({ about: 'F-0003' }), breach)).toBe(false)
  })
})
