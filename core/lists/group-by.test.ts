import fc from 'fast-check'
import { expect, it } from 'vitest'
import { groupBy } from './group-by'

it('loses no row, keeps their order, and puts each where its key says', () =>
  fc.assert(
    fc.property(fc.array(fc.nat(50)), (rows) => {
      const groups = groupBy(rows, row => row % 7)
      expect([...groups.values()].flat().toSorted()).toEqual(rows.toSorted())
      for (const [key, group] of groups) expect(group).toEqual(rows.filter(row => row % 7 === key))
    }),
  ))
