import { createHash } from 'node:crypto'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chainText, FIRST_HASH, type BookRow } from './chain-text'
import { readSeal } from './findings'
import { CHAIN_START, checkEnd, walkChain, type HashedRow } from './walk-chain'

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')
const bookRow = (id: number): BookRow => ({
  id,
  kind: 'turned',
  userId: 3,
  who: 'Ada',
  station: 'Cold room',
  atMs: 1_700_000_000_000 + id,
  zone: 'America/Chicago',
  arithmetic: '1',
  typed: '{"a":1}',
  computed: '{}',
  reason: null,
  subjects: '["L-0001"]',
  voidsId: null,
  clockBehindMs: null,
  touched: null,
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
    const text = `["${FIRST_HASH}",1,"turned",3,"Ada","Cold `
      + 'room",1700000000001,"America/Chicago","1","{\\"a\\":1}","{}",null,"[\\"L-0001\\"]",null,null]'
    expect(chainText(FIRST_HASH, bookRow(1))).toBe(text)
    expect(walkChain(CHAIN_START, [{ ...bookRow(1), hash: sha256(text) }], sha256).breaks).toEqual([])
    expect(chainText(FIRST_HASH, { ...bookRow(1), touched: '{}' })).toBe(`${text.slice(0, -1)},"{}"]`)
  })
  it('holds over any number of records, walked whole or in parts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), (length, cut) => {
        const rows = book(length)
        const first = walkChain(CHAIN_START, rows.slice(0, cut), sha256)
        const second = walkChain(first.at, rows.slice(cut), sha256)
        expect(second).toEqual({ breaks: [], at: end(rows) })
        expect(checkEnd(second.at, end(rows))).toBeNull()
      }),
    )
  })
  const change = fc.constantFrom<Partial<HashedRow>>(
    { kind: 'drained' },
    { userId: 4 },
    { who: 'Ben' },
    { station: '' },
    { atMs: 1 },
    { zone: 'UTC' },
    { arithmetic: '2' },
    { typed: '{"a":2}' },
    { computed: '{"b":0}' },
    { reason: '' },
    { subjects: '[]' },
    { voidsId: 1 },
    { clockBehindMs: 0 },
    { touched: '{}' },
  )
  it('names every record that was changed, in whatever field, and nothing else; walked whole or in parts', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { minLength: 1 }),
        change,
        fc.integer({ min: 0, max: 12 }),
        (ids, changed, cut) => {
          const rows = book(12).map(row => (ids.includes(row.id) ? { ...row, ...changed } : row))
          const first = walkChain(CHAIN_START, rows.slice(0, cut), sha256)
          const second = walkChain(first.at, rows.slice(cut), sha256)
          expect([...first.breaks, ...second.breaks]).toEqual(
            ids.toSorted((a, b) => a - b).map(id => ({ id, why: 'changed' })),
          )
        },
      ),
    )
  })
  it('a hash that was changed shows at its own record alone: the one after fits the hash before it was', () => {
    const rows = book(5).map(row => (row.id === 3 ? { ...row, hash: 'f'.repeat(64) } : row))
    expect(walkChain(CHAIN_START, rows, sha256).breaks.map(found => found.id)).toEqual([3, 4])
  })
  it('shows records taken out, slipped in, or swapped, and an end cut off, and walks on behind each', () => {
    const rows = book(8)
    expect(walkChain(CHAIN_START, rows.toSpliced(4, 1), sha256).breaks).toEqual([{ id: 5, toId: 5, why: 'missing' }])
    expect(walkChain(CHAIN_START, rows.toSpliced(2, 3), sha256).breaks).toEqual([{ id: 3, toId: 5, why: 'missing' }])
    const [two, three] = [rows[1]!, rows[2]!]
    expect(
      walkChain(CHAIN_START, rows.with(1, { ...three, id: 2 }).with(2, { ...two, id: 3 }), sha256).breaks.map(
        found => found.id,
      ),
    ).toEqual([2, 3, 4])
    const cut = walkChain(CHAIN_START, rows.slice(0, 6), sha256)
    expect(cut.breaks).toEqual([])
    expect(checkEnd(cut.at, end(rows))).toEqual({ id: 7, why: 'end_differs' })
  })
  it('a stranger\'s record in between breaks alone: what was written behind it is held against the last sound one', () => {
    const before = book(4)
    const stranger = { ...bookRow(5), hash: sha256('x') }
    const next = { ...bookRow(6), hash: sha256(chainText(before.at(-1)!.hash, bookRow(6))) }
    expect(walkChain(CHAIN_START, [...before, stranger, next], sha256).breaks).toEqual([{ id: 5, why: 'changed' }])
  })
  it('one who rewrites the rest as well is shown by the head kept apart', () => {
    const rows = book(8)
    const forged = chainOf(rows.map(row => (row.id === 3 ? { ...row, typed: '{}' } : row)))
    const walked = walkChain(CHAIN_START, forged, sha256)
    expect(walked.breaks).toEqual([])
    expect(checkEnd(walked.at, end(rows))).toMatchObject({ why: 'end_differs' })
  })
  it('keeps fields apart: what moves from one into the next is another text', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), fc.string({ minLength: 1 }), (who, station, moved) => {
        expect(chainText(FIRST_HASH, { ...bookRow(1), who: who + moved, station })).not.toBe(
          chainText(FIRST_HASH, { ...bookRow(1), who, station: moved + station }),
        )
      }),
    )
  })
})

describe('a noted seal', () => {
  it('is a number and 64 digits', () => {
    const hash = 'ab'.repeat(32)
    expect(readSeal(`334:${hash}`)).toEqual({ id: 334, hash })
    expect(readSeal(` 7 , ${hash.toUpperCase()} `)).toEqual({ id: 7, hash })
    for (const wrong of ['', '334', hash, `334:${hash.slice(1)}`, `-1:${hash}`, `x:${hash}`])
      expect(readSeal(wrong)).toBeNull()
  })
})
