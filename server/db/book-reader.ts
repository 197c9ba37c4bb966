import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { HashedRow } from '#core/book/walk-chain'

/** Named and typed as the chain wants them, so that a row is used as it comes: a book has a million of them. */
const COLUMNS = [
  'id', 'kind', 'user_id AS userId', 'who', 'station', 'CAST(ROUND(UNIX_TIMESTAMP(at) * 1000) AS DOUBLE) AS atMs', 'zone', 'arithmetic', 'typed', 'computed',
  'reason', 'subjects', 'voids_id AS voidsId', 'CAST(clock_behind AS DOUBLE) AS clockBehindMs', 'hash',
  // Joined by the database: a row for each code would take longer than the walk.
  'COALESCE((SELECT GROUP_CONCAT(JSON_QUOTE(code) ORDER BY BINARY code) FROM event_subjects WHERE event_id = events.id), \'\') AS indexed',
].join(', ')

/** A record, and the codes under which the index finds it, in order, quoted so that two never read as one. */
export interface BookReading extends HashedRow { indexed: string }

/** Records after `afterId` in order, `limit` at most, every text as it is stored: what a hash is worked out from. */
export const readBook = (sequelize: Sequelize, afterId: number, limit: number, transaction?: Transaction): Promise<BookReading[]> =>
  sequelize.query<BookReading>(`SELECT ${COLUMNS} FROM events WHERE id > ? ORDER BY id LIMIT ?`, { type: QueryTypes.SELECT, replacements: [afterId, limit], ...(transaction ? { transaction } : {}) })
