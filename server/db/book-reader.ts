import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { HashedRow } from '#core/book/walk-chain'

const select = (replacements: unknown[], transaction?: Transaction) => ({ type: QueryTypes.SELECT, replacements, ...(transaction ? { transaction } : {}) }) as const
const COLUMNS = 'id, kind, user_id, who, station, ROUND(UNIX_TIMESTAMP(at) * 1000) AS at_ms, zone, arithmetic, typed, computed, reason, subjects, voids_id, clock_behind, hash'

interface Raw {
  id: number, kind: string, user_id: number, who: string, station: string, at_ms: unknown, zone: string, arithmetic: string
  typed: string, computed: string, reason: string | null, subjects: string, voids_id: number | null, clock_behind: unknown, hash: string
}

/** Records after `afterId` in order, `limit` at most, every text as it is stored: what a hash is worked out from. */
export async function readBookRows(sequelize: Sequelize, afterId: number, limit: number, transaction?: Transaction): Promise<HashedRow[]> {
  const rows = await sequelize.query<Raw>(`SELECT ${COLUMNS} FROM events WHERE id > ? ORDER BY id LIMIT ?`, select([afterId, limit], transaction))
  return rows.map(row => ({
    id: row.id, kind: row.kind, userId: row.user_id, who: row.who, station: row.station, atMs: Number(row.at_ms), zone: row.zone, arithmetic: row.arithmetic,
    typed: row.typed, computed: row.computed, reason: row.reason, subjects: row.subjects, voidsId: row.voids_id,
    clockBehindMs: row.clock_behind === null ? null : Number(row.clock_behind), hash: row.hash,
  }))
}

/** The index of the same records: the codes of each, by its id. */
export async function readIndexRows(sequelize: Sequelize, fromId: number, toId: number, transaction?: Transaction): Promise<Map<number, string[]>> {
  const rows = await sequelize.query<{ event_id: number, code: string }>('SELECT event_id, code FROM event_subjects WHERE event_id BETWEEN ? AND ?', select([fromId, toId], transaction))
  const byId = new Map<number, string[]>()
  for (const row of rows) {
    const codes = byId.get(row.event_id)
    if (codes) codes.push(row.code)
    else byId.set(row.event_id, [row.code])
  }
  return byId
}
