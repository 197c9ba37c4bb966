import { atKey } from '#core/lists/at-key'
import type { Milliseconds } from '#core/units/quantities'
import type { Sequelize } from 'sequelize'
import { touchedText } from '#core/book/touched'
import { ask, type Within } from '../line/ask'
import { readBook, type BookReading } from './book-reader'
import { epochMs } from '../line/epoch-ms'
import { digestsOf } from '../table/row-digests'
import type { Touch } from '../table/table'
import { snake, type Columns, type TableSpec } from '../schema/table-spec'

/** What chaining records asks of its transaction beside the tables. */
export interface BookAccess {
  /** Whether this is a write: it goes by the rows themselves, never by what was kept of them. */
  isWrite: boolean
  touch: Touch
  /** Ids of rows of one table, by its name in the code, that were written since digests were last asked for. */
  touchedIds: (table: string) => number[]
  /** Lots of which a piece was gone, or came back: what they are now is asked before the record is written, and forgotten. */
  mayEnd: Set<number>
  /** True when rows that a record must seal were written since it was last asked for their text. */
  isTouched: () => boolean
  /** Digests of those rows as they stand now, as text for the record; null when there are none. Forgets them. */
  touchedText: () => Promise<string | null>
  /** The end of the chain, kept from others until the transaction ends. */
  lockHead: () => Promise<BookEnd>
  /** Records as a walk reads them, and what the head says of the last. */
  readBack: (firstId: number, lastId: number) => Promise<{ stored: BookReading[]; headHash: string | undefined }>
  /** What records hold as typed and as computed; a logger's many readings are left out and only counted. */
  texts: (ids: readonly number[]) => Promise<RecordTexts[]>
  /** The first number after one that no record has. */
  firstFree: (afterId: number) => Promise<number>
}

export interface BookEnd {
  lastId: number
  hash: string
  lastAtMs: Milliseconds
  /** The database's own clock, UTC. */
  databaseMs: Milliseconds
  /** 1 where rows stand behind the end that nobody chained. */
  strangers: number
}

export interface RecordTexts {
  id: number
  typed: string | null
  typedBytes: number
  readings: number | null
  computed: string
}
/** Readings longer than this are fetched when somebody opens their record. Any other text is what its sentence is told from. */
const LONG_READINGS = 'kind = \'run_read\' AND LENGTH(typed) > 6000'

export function bookAccess(
  sequelize: Sequelize,
  specs: ReadonlyMap<string, TableSpec<Columns>>,
  within?: Within,
): BookAccess {
  /** Per table, a row's digest as it was written, null where it was changed since. */
  const touched = new Map<string, Map<number, string | null>>()
  return {
    isWrite: within !== undefined,
    touch: (table, rows) => {
      const known = touched.get(table) ?? new Map<number, string | null>()
      for (const { id, digest } of rows) known.set(id, digest)
      touched.set(table, known)
    },
    touchedIds: name => [...(touched.get(snake(name))?.keys() ?? [])],
    mayEnd: new Set(),
    isTouched: () => touched.size > 0,
    touchedText: async () => {
      const tables = [...touched]
      touched.clear()
      if (tables.length === 0) return null
      const whole = await Promise.all(
        tables.map(async ([table, rows]) => {
          const asked = [...rows].flatMap(([id, digest]) => (digest === null ? [id] : []))
          const found = asked.length ? await digestsOf(sequelize, atKey(specs, table), asked, within) : []
          return [
            table,
            new Map([
              ...[...rows].flatMap(([id, digest]) => (digest === null ? [] : [[id, digest] as const])),
              ...found.map(({ id, digest }) => [id, digest] as const),
            ]),
          ] as const
        }),
      )
      return touchedText(new Map(whole))
    },
    lockHead: async () => {
      const [head] = await ask<BookEnd>(
        sequelize,
        `SELECT last_id AS lastId, hash, ${epochMs('last_at')} AS lastAtMs, `
        + `${epochMs('UTC_TIMESTAMP(3)')} AS databaseMs, `
        + 'EXISTS (SELECT 1 FROM events WHERE events.id > last_id) AS strangers FROM book_head WHERE id = 1 FOR UPDATE',
        within,
      )
      if (!head) throw new Error('the book has no head')
      return head
    },
    readBack: async (firstId, lastId) => {
      const rows = await readBook<{ head: string }>(sequelize, firstId, lastId, {
        within,
        besides: ', (SELECT hash FROM book_head WHERE id = 1) AS head',
      })
      return { stored: rows, headHash: rows[0]?.head }
    },
    texts: async ids =>
      ids.length === 0
        ? []
        : await ask<RecordTexts>(
            sequelize,
            `SELECT id, IF(${LONG_READINGS}, NULL, typed) AS typed, CAST(LENGTH(typed) AS DOUBLE) AS typedBytes,
          IF(${LONG_READINGS}, CAST(JSON_LENGTH(typed, '$.readings') AS DOUBLE), NULL) AS readings, computed
            FROM events WHERE id IN (${ids.map(Number).join(', ')})`,
            within,
          ),
    firstFree: async (afterId) => {
      // Locked, so that what another put there since this transaction began is seen.
      const rows = await ask<{ id: number }>(
        sequelize,
        `SELECT id FROM events WHERE id > ${Number(afterId)} ORDER BY id FOR UPDATE`,
        within,
      )
      const taken = new Set(rows.map(row => row.id))
      let id = afterId + 1
      while (taken.has(id)) id += 1
      return id
    },
  }
}
