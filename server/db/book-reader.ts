import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { HashedRow } from '#core/book/walk-chain'

const select = (replacements: unknown[], transaction?: Transaction) => ({ type: QueryTypes.SELECT, replacements, ...(transaction ? { transaction } : {}) }) as const
const COLUMNS = 'id, kind, user_id, who, station, ROUND(UNIX_TIMESTAMP(at) * 1000) AS at_ms, zone, arithmetic, typed, computed, reason, subjects, voids_id, clock_behind, hash'
/** The codes under which the index finds a record, joined by the database: a row each would take longer than the walk. */
const INDEXED = 'COALESCE((SELECT GROUP_CONCAT(code ORDER BY BINARY code SEPARATOR \' \') FROM event_subjects WHERE event_id = events.id), \'\') AS indexed'

interface Raw {
  id: number, kind: string, user_id: number, who: string, station: string, at_ms: unknown, zone: string, arithmetic: string
  typed: string, computed: string, reason: string | null, subjects: string, voids_id: number | null, clock_behind: unknown, hash: string, indexed: string
}

/** A record, and its codes in the index, in order, with a space between. */
export interface BookReading { row: HashedRow, indexed: string }

/** Records after `afterId` in order, `limit` at most, every text as it is stored: what a hash is worked out from. */
export async function readBook(sequelize: Sequelize, afterId: number, limit: number, transaction?: Transaction): Promise<BookReading[]> {
  const rows = await sequelize.query<Raw>(`SELECT ${COLUMNS}, ${INDEXED} FROM events WHERE id > ? ORDER BY id LIMIT ?`, select([afterId, limit], transaction))
  return rows.map(row => ({ indexed: row.indexed, row: {
    id: row.id, kind: row.kind, userId: row.user_id, who: row.who, station: row.station, atMs: Number(row.at_ms), zone: row.zone, arithmetic: row.arithmetic,
    typed: row.typed, computed: row.computed, reason: row.reason, subjects: row.subjects, voidsId: row.voids_id,
    clockBehindMs: row.clock_behind === null ? null : Number(row.clock_behind), hash: row.hash,
  } }))
}
