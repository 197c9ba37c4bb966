import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { touchedText } from '#core/book/touched'
import { readBook, type BookReading } from './book-reader'
import { digestsOf } from './row-digests'
import type { Columns, TableSpec, Touch } from './table'

/** What chaining records asks of its transaction beside the tables. */
export interface BookAccess {
  touch: Touch
  /** True when rows that a record must seal were written since it was last asked for their text. */
  isTouched: () => boolean
  /** Digests of those rows as they stand now, as text for the record; null when there are none. Forgets them. */
  touchedText: () => Promise<string | null>
  /** Records as a walk reads them. */
  read: (firstId: number, lastId: number) => Promise<BookReading[]>
  /** The database's own clock, UTC. */
  nowMs: () => Promise<number>
  /** The first number after one that no record has. */
  firstFree: (afterId: number) => Promise<number>
}

export function bookAccess(sequelize: Sequelize, specs: ReadonlyMap<string, TableSpec<Columns>>, transaction?: Transaction): BookAccess {
  const touched = new Map<string, Set<number>>()
  const select = { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) } as const
  return {
    touch: (table, ids) => {
      const rows = touched.get(table) ?? new Set()
      for (const id of ids) rows.add(id)
      touched.set(table, rows)
    },
    isTouched: () => touched.size > 0,
    touchedText: async () => {
      const tables = [...touched]
      touched.clear()
      if (tables.length === 0) return null
      const found = await Promise.all(tables.map(([table, ids]) => digestsOf(sequelize, specs.get(table)!, [...ids], transaction)))
      return touchedText(new Map(tables.map(([table], i) => [table, new Map(found[i]!.map(({ id, digest }) => [id, digest]))])))
    },
    read: (firstId, lastId) => readBook(sequelize, firstId, lastId, transaction),
    nowMs: async () => {
      const [row] = await sequelize.query<{ nowMs: number }>('SELECT CAST(TIMESTAMPDIFF(MICROSECOND, \'1970-01-01\', UTC_TIMESTAMP(3)) DIV 1000 AS DOUBLE) AS nowMs', select)
      return row!.nowMs
    },
    firstFree: async (afterId) => {
      // Locked, so that what another put there since this transaction began is seen.
      const rows = await sequelize.query<{ id: number }>(`SELECT id FROM events WHERE id > ${Number(afterId)} ORDER BY id FOR UPDATE`, select)
      const taken = new Set(rows.map(row => row.id))
      let id = afterId + 1
      while (taken.has(id)) id += 1
      return id
    },
  }
}
