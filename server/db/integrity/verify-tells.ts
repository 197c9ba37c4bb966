import { lastOf } from '#core/lists/last-of'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { RowFinding } from '#core/book/findings'
import { tellsOf, type Tells } from '#core/book/tells'
import type { BookReading } from '../readers/book-reader'

/** Columns that name a record and that no digest covers, by what the record tells of itself. */
const NAMED = [
  { table: 'steps', column: 'event_id', of: (tells: Tells) => tells.steps ?? [] },
  { table: 'steps', column: 'end_event_id', of: (tells: Tells) => tells.ends ?? [] },
  { table: 'holds', column: 'changed_event_id', of: (tells: Tells) => tells.holds ?? [] },
] as const

/**
 * Rows that name a record of a stretch which says that it told of others: under no seal themselves, they are held against
 * the records, which are. A record from before records said so is passed over. What ended and was opened again names none.
 */
export async function* verifyTells(
  sequelize: Sequelize,
  records: readonly BookReading[],
  transaction: Transaction,
): AsyncGenerator<RowFinding> {
  const told = new Map(records.flatMap((record) => {
    const tells = tellsOf(record)
    return tells ? [[record.id, tells] as const] : []
  }))
  if (told.size === 0) return
  const [first, last] = [records[0]!.id, lastOf(records).id]
  for (const { table, column, of } of NAMED) {
    const rows = await sequelize.query<{ id: number; record: number }>(
      `SELECT id, ${column} AS record FROM ${table} WHERE ${column} BETWEEN ${first} AND ${last}`,
      { type: QueryTypes.SELECT, transaction },
    )
    const rowsOf = new Map([...told].map(([record, tells]) => [record, new Set(of(tells))]))
    for (const { id, record } of rows)
      if (rowsOf.get(record)?.has(id) === false) yield { id: record, why: 'told_differs', table, row: id }
    if (column !== 'event_id') continue
    // A step is told of by one record, for ever.
    const named = new Map(rows.map(row => [row.id, row.record]))
    for (const [record, ids] of rowsOf)
      for (const id of ids) if (named.get(id) !== record) yield { id: record, why: 'told_differs', table, row: id }
  }
}
