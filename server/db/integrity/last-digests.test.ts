import { createHash } from 'node:crypto'
import fc from 'fast-check'
import { afterEach, expect, it } from 'vitest'
import { touchedText } from '#core/book/touched'
import { LastDigests } from './last-digests'

const digest = (of: string) => createHash('sha256').update(of).digest('base64').slice(0, 22)
let last: LastDigests
afterEach(() => last.close())

/** Ids all over ten blocks, so that two in memory are not enough. */
const row = fc.record({ table: fc.constantFrom('lots', 'packs'), id: fc.integer({ min: 1, max: 40_000 }), text: fc.string() })

it('knows the last digest of each row and its record, however many blocks lie on the disk', () =>
  fc.assert(
    fc.property(fc.array(fc.array(row, { minLength: 1, maxLength: 5 }), { maxLength: 40 }), (records) => {
      last = new LastDigests(2)
      const plain = new Map<string, { digest: string; recordId: number }>()
      for (const [i, rows] of records.entries()) {
        const tables = new Map<string, Map<number, string>>()
        for (const { table, id, text } of rows) {
          tables.set(table, (tables.get(table) ?? new Map<number, string>()).set(id, digest(text)))
          plain.set(`${table} ${id}`, { digest: digest(text), recordId: i + 1 })
        }
        last.take(i + 1, touchedText(tables))
      }
      const left = new Map(plain)
      for (const [key, { digest: known, recordId }] of [...plain].filter((_, i) => i % 2 === 0)) {
        const [table, id] = key.split(' ')
        expect(last.check(table!, Number(id), known)).toEqual({ fits: true, recordId })
        expect(last.check(table!, Number(id), known)).toEqual({ fits: false, recordId: null })
        left.delete(key)
      }
      const found = ['lots', 'packs'].flatMap(table => [...last.left(table)].map(({ id, recordId }) => [`${table} ${id}`, recordId]))
      expect(new Map(found as [string, number][])).toEqual(
        new Map([...left].map(([key, { recordId }]) => [key, recordId])),
      )
      last.close()
    }),
    { numRuns: 40 },
  ))
it('a row that was changed does not fit, and is ticked off all the same', () => {
  last = new LastDigests()
  expect(last.isEmpty).toBe(true)
  last.take(7, touchedText(new Map([['lots', new Map([[3, digest('as it was')]])]])))
  expect(last.check('lots', 3, digest('as it is'))).toEqual({ fits: false, recordId: 7 })
  expect([...last.left('lots')]).toEqual([])
  expect(last.check('lots', 4, digest('new'))).toEqual({ fits: false, recordId: null })
})
