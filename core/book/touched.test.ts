import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DIGEST_LENGTH, rowsIn, touchedText } from './touched'

describe('digests of rows', () => {
  const digest = fc.string({
    unit: fc.constantFrom(...'ABCxyz019+/'),
    minLength: DIGEST_LENGTH,
    maxLength: DIGEST_LENGTH,
  })
  const rows = fc.dictionary(
    fc.constantFrom('lots', 'pieces', 'turns'),
    fc.uniqueArray(fc.tuple(fc.integer({ min: 1, max: 60 }), digest), { selector: ([id]) => id }),
  )
  it('come back row by row as they were put in, however they are put', () => {
    fc.assert(
      fc.property(rows, (given) => {
        const map = new Map(Object.entries(given).map(([table, list]) => [table, new Map(list)]))
        const text = touchedText(map)
        const again = new Map(
          Object.entries(given)
            .toReversed()
            .map(([table, list]) => [table, new Map(list.toReversed())]),
        )
        expect(touchedText(again)).toBe(text)
        const back = [...rowsIn(text)].map(({ table, id, digest: found }) => `${table} ${id} ${found}`).toSorted()
        expect(back).toEqual(
          Object.entries(given)
            .flatMap(([table, list]) => list.map(([id, one]) => `${table} ${id} ${one}`))
            .toSorted(),
        )
      }),
    )
  })
  it('of rows that follow each other stand in one run', () =>
    expect(
      touchedText(
        new Map([
          [
            'pieces',
            new Map([
              [4, 'd'],
              [2, 'b'],
              [3, 'c'],
              [9, 'i'],
            ]),
          ],
        ]),
      ),
    ).toBe('{"pieces":[[2,"b","c","d"],[9,"i"]]}'))
})
