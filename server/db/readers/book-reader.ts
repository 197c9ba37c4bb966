import type { Sequelize } from 'sequelize'
import { ask, type Within } from '../line/ask'
import type { HashedRow } from '#core/book/walk-chain'
import { epochMs } from '../line/epoch-ms'

/** Named and typed as the chain wants them, so that a row is used as it comes: a book has a million of them. */
const COLUMNS = [
  'id',
  'kind',
  'user_id AS userId',
  'who',
  'station',
  `${epochMs('at')} AS atMs`,
  'zone',
  'arithmetic',
  'typed',
  'computed',
  'reason',
  'subjects',
  'voids_id AS voidsId',
  'CAST(clock_behind AS DOUBLE) AS clockBehindMs',
  'hash',
  '(SELECT touched FROM event_rows WHERE event_id = events.id) AS touched',
  // Joined by the database: a row for each code would take longer than the walk.
  'COALESCE((SELECT GROUP_CONCAT(JSON_QUOTE(code) ORDER BY BINARY code) FROM event_subjects WHERE event_id = events.id), \'\') AS indexed',
].join(', ')

/** A record, and the codes under which the index finds it, in order, quoted so that two never read as one. */
export interface BookReading extends HashedRow {
  indexed: string
}

/** True when the index knows a record under the codes that its hash covers, and no others. */
export const indexFits = (row: BookReading): boolean =>
  (JSON.parse(row.subjects) as string[])
    .toSorted()
    .map(code => JSON.stringify(code))
    .join(',') === row.indexed

/**
 * Records from one to another in order, every text as it is stored: what a hash is worked out from. `besides` is asked
 * for along with them.
 */
export const readBook = <More = object>(
  sequelize: Sequelize,
  firstId: number,
  lastId: number,
  { within, besides = '' }: { within?: Within | undefined; besides?: string } = {},
): Promise<(BookReading & More)[]> =>
  ask<BookReading & More>(
    sequelize,
    `SELECT ${COLUMNS}${besides} FROM events WHERE id BETWEEN ${Number(firstId)} AND ${Number(lastId)} ORDER BY id`,
    within,
  )
