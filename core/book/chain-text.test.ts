import fc from 'fast-check'
import { expect, it } from 'vitest'
import { chainText, FIRST_HASH, type BookRow } from './chain-text'

const ROW: BookRow = {
  id: 1,
  kind: 'turned',
  userId: 2,
  who: 'Ada',
  station: 'tablet',
  atMs: 5,
  zone: 'UTC',
  arithmetic: '3',
  typed: '{}',
  computed: '{}',
  reason: null,
  subjects: '["L-0001"]',
  voidsId: null,
  clockBehindMs: null,
  touched: null,
}

it('is a JSON array without spaces, the hash before first; a record without digests reads as before there were any', () => {
  expect(chainText(FIRST_HASH, ROW)).toBe(
    `["${'0'.repeat(64)}",1,"turned",2,"Ada","tablet",5,"UTC","3","{}","{}",null,"[\\"L-0001\\"]",null,null]`,
  )
  expect(JSON.parse(chainText(FIRST_HASH, { ...ROW, touched: '{}' }))).toHaveLength(16)
})
it('no two records read as one, whatever stands in their fields', () =>
  fc.assert(
    fc.property(fc.string(), fc.string(), fc.string(), fc.string(), (who, station, otherWho, otherStation) => {
      const [one, other] = [
        { ...ROW, who, station },
        { ...ROW, who: otherWho, station: otherStation },
      ]
      const isSame = who === otherWho && station === otherStation
      expect(chainText(FIRST_HASH, one) === chainText(FIRST_HASH, other)).toBe(isSame)
    }),
  ))
