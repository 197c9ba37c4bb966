import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exactly, hull, middle, over, plus, shared, times, type Interval } from './interval'

const range: fc.Arbitrary<Interval> = fc
  .tuple(fc.double({ min: 0.1, max: 100, noNaN: true }), fc.double({ min: 0, max: 50, noNaN: true }))
  .map(([low, width]) => ({ low, high: low + width }))
const inside = (of: Interval, share: number) => of.low + (of.high - of.low) * share
const SLACK = 1 + 1e-12
const holds = ({ low, high }: Interval, value: number) => value >= low / SLACK && value <= high * SLACK

describe('ranges', () => {
  it.each([
    ['sum', plus, (a: number, b: number) => a + b],
    ['product', times, (a: number, b: number) => a * b],
    ['quotient', over, (a: number, b: number) => a / b],
  ])('the %s holds whatever the figures are inside their ranges', (_name, ranged, plain) =>
    fc.assert(
      fc.property(range, range, fc.double({ min: 0, max: 1 }), fc.double({ min: 0, max: 1 }), (a, b, x, y) => {
        if (Number.isNaN(x) || Number.isNaN(y)) return
        expect(holds(ranged(a, b), plain(inside(a, x), inside(b, y)))).toBe(true)
      }),
    ))
  it('what is known exactly has no width; the middle is in it', () => {
    expect(exactly(3)).toEqual({ low: 3, high: 3 })
    expect(middle({ low: 2, high: 5 })).toBe(3.5)
  })
  it('overlap where they meet, within 2 % for rounding; else not', () => {
    expect(shared([{ low: 1, high: 5 }, { low: 3, high: 9 }])).toEqual({ low: 3, high: 5 })
    expect(shared([exactly(100), exactly(101.9)])).toEqual({ low: 100, high: 101.9 })
    expect(shared([exactly(100), exactly(102.1)])).toBeNull()
    expect(hull([exactly(100), { low: 3, high: 9 }])).toEqual({ low: 3, high: 100 })
  })
})
