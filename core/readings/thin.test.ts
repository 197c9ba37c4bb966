import fc from 'fast-check'
import { expect, it } from 'vitest'
import { thinned } from './thin'

interface Row {
  at: number
  a: number | null
  b: number | null
}
const LINES = [(row: Row) => row.a, (row: Row) => row.b]
const rows = fc
  .array(
    fc.record({ a: fc.option(fc.integer({ min: -50, max: 99 })), b: fc.option(fc.integer({ min: -50, max: 99 })) }),
    { maxLength: 400 },
  )
  .map(list => list.map((row, at): Row => ({ at, a: row.a, b: row.b })))
const ends = (list: readonly Row[], line: (row: Row) => number | null) => {
  const values = list.flatMap(row => line(row) ?? [])
  return [Math.min(...values), Math.max(...values)]
}

it('keeps first and last, the order, and the lowest and highest of every line', () =>
  fc.assert(
    fc.property(rows, fc.integer({ min: 8, max: 100 }), (all, most) => {
      const few = thinned(all, LINES, most)
      expect(few.map(row => row.at)).toEqual(few.map(row => row.at).toSorted((x, y) => x - y))
      expect(few.at(0)).toEqual(all.at(0))
      expect(few.at(-1)).toEqual(all.at(-1))
      for (const line of LINES) expect(ends(few, line)).toEqual(ends(all, line))
      expect(few.length).toBeLessThanOrEqual(Math.max(most, 6))
    }),
  ))
it('leaves short series as they are', () => expect(thinned([1, 2, 3], [n => n], 10)).toEqual([1, 2, 3]))
