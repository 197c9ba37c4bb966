import { createHash } from 'node:crypto'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chainText, FIRST_HASH, type BookRow } from './chain-text'
import { CHAIN_START, checkEnd, walkChain, type HashedRow } from './walk-chain'

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

const bookRow = (id: number): BookRow => ({
  id, kind: 'turned', userId: 3, who: 'Ada', station: 'Cold room', atMs: 1_700_000_000_000 + id, zone: 'America/Chicago', arithmetic: '1',
  typed: '{"a":1}', computed: '{}', reason: null, subjects: '["L-0001"]', voidsId: null, clockBehindMs: null,
})

function chainOf(rows: readonly BookRow[]): HashedRow[] {
  let before = FIRST_HASH
  return rows.map((row) => {
    before = sha256(chainText(before, row))
    return { ...row, hash: before }
  })
}
const book = (length: number) => chainOf(Array.from({ length }, (_, i) => bookRow(i + 1)))
const end = (rows: readonly HashedRow[]) => ({ id: rows.length, hash: rows.at(-1)?.hash ?? FIRST_HASH })

describe('the chain', () => {
  it('is the SHA-256 of the documented array: worked out by hand for the first record', () => {
    const text = `["${FIRST_HASH}",1,"turned",3,"Ada","Cold room",1700000000001,"America/Chicago","1","{\\"a\\":1}","{}",null,"[\\"L-0001\\"]",null,null]`
    expect(chainText(FIRST_HASH, bookRow(1))).toBe(text)
    expect(walkChain(CHAIN_START, [{ ...bookRow(1), hash: sha256(text) }], sha256).broken).toBeNull()
  })
  it('holds over any number of records, walked whole or in parts', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), (length, cut) => {
      const rows = book(length)
      const first = walkChain(CHAIN_START, rows.slice(0, cut), sha256)
      const second = walkChain(first.at, rows.slice(cut), sha256)
      expect(second).toEqual({ broken: null, at: end(rows) })
      expect(checkEnd(second.at, end(rows))).toBeNull()
    }))
  })
  it('names the first record that was changed, in whatever field', () => {
    const change = fc.constantFrom<Partial<HashedRow>>(
      { kind: 'drained' }, { userId: 4 }, { who: 'Ben' }, { station: '' }, { atMs: 1 }, { zone: 'UTC' }, { arithmetic: '2' }, { typed: '{"a":2}' },
      { computed: '{"b":0}' }, { reason: '' }, { subjects: '[]' }, { voidsId: 1 }, { clockBehindMs: 0 }, { hash: 'f'.repeat(64) })
    fc.assert(fc.property(fc.integer({ min: 1, max: 12 }), change, (id, changed) => {
      const rows = book(12).map(row => row.id === id ? { ...row, ...changed } : row)
      expect(walkChain(CHAIN_START, rows, sha256).broken).toEqual({ id, why: 'changed' })
    }))
  })
  it('shows a record taken out, put in, or swapped, and an end cut off', () => {
    const rows = book(8)
    expect(walkChain(CHAIN_START, rows.toSpliced(4, 1), sha256).broken).toEqual({ id: 5, why: 'missing' })
    expect(walkChain(CHAIN_START, rows.toSpliced(4, 0, { ...bookRow(5), hash: sha256('x') }), sha256).broken).toEqual({ id: 5, why: 'changed' })
    const cut = walkChain(CHAIN_START, rows.slice(0, 6), sha256)
    expect(cut.broken).toBeNull()
    expect(checkEnd(cut.at, end(rows))).toEqual({ id: 7, why: 'end_differs' })
  })
  it('one who rewrites the rest as well is shown by the head kept apart', () => {
    const rows = book(8)
    const forged = chainOf(rows.map(row => row.id === 3 ? { ...row, typed: '{}' } : row))
    const walked = walkChain(CHAIN_START, forged, sha256)
    expect(walked.broken).toBeNull()
    expect(checkEnd(walked.at, end(rows))).toMatchObject({ why: 'end_differs' })
  })
  it('keeps fields apart: what moves from one into the next is another text', () => {
    fc.assert(fc.property(fc.string(), fc.string(), fc.string({ minLength: 1 }), (who, station, moved) => {
      expect(chainText(FIRST_HASH, { ...bookRow(1), who: who + moved, station })).not.toBe(chainText(FIRST_HASH, { ...bookRow(1), who, station: moved + station }))
    }))
  })
})
