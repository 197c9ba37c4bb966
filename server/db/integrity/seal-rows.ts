import type { Milliseconds } from '#core/units/quantities'
import { QueryTypes, Transaction, type Sequelize } from 'sequelize'
import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import { chainText } from '#core/book/chain-text'
import { touchedText } from '#core/book/touched'
import { sha256 } from '../../digest/sha256'
import { markFinished } from './mark-finished'
import { allDigests, digestOf } from '../table/row-digests'
import { openTables, SPECS_BY_NAME, type Tables } from '../database'

/** Rows that one record seals: half a megabyte of digests. */
const ROWS_A_RECORD = 20_000

/**
 * One record over rows as they stand, behind the book's last one. Nobody pressed for it: it stands in the first owner's
 * name.
 */
async function appendSeal(
  tables: Tables,
  who: { id: number; zone: string; nowMs: Milliseconds },
  computed: object,
  touched: string,
): Promise<void> {
  const head = await tables.bookHead.the({ id: 1 }, { lock: true })
  const row = {
    id: head.lastId + 1,
    kind: 'rows_sealed' as const,
    userId: who.id,
    who: 'Veldmoor',
    station: 'start of the program',
    atMs: Math.max(who.nowMs, head.lastAtMs),
    zone: who.zone,
    arithmetic: ARITHMETIC_VERSION,
    typed: '{}',
    computed: JSON.stringify(computed),
    reason: null,
    subjects: '[]',
    voidsId: null,
    clockBehindMs: null,
  }
  await tables.events.insertMany([{ ...row, hash: sha256(chainText(head.hash, { ...row, touched })) }])
  await tables.eventRows.insertMany([{ eventId: row.id, touched }])
}

/**
 * Seals every row of the shop as it stands, in as many records as that takes: once for a book from before there were
 * digests, and after a change of the schema. Before that it marks what is finished, for a shop from before the mark.
 * `found` is how much a walk found amiss before, null when there was nothing to hold the rows against. Returns the rows.
 */
export async function sealRows(admin: Sequelize, nowMs: Milliseconds, found: number | null): Promise<number> {
  return await admin.transaction(
    { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ },
    async (transaction) => {
      const tables = openTables(admin, transaction)
      // First, so that nobody writes between what is read here and the records over it.
      await tables.bookHead.one({ id: 1 }, { lock: true })
      await markFinished(admin, transaction)
      const [owner] = await tables.users.find({ role: 'owner' }, { order: [['id', 'ASC']], limit: 1 })
      const shop = await tables.shops.one({})
      if (!owner || !shop) return 0
      const who = { id: owner.id, zone: shop.zone, nowMs }
      let sealed = 0
      let open = new Map<string, Map<number, string>>()
      let inOpen = 0
      const close = async () => {
        if (inOpen > 0) await appendSeal(tables, who, { rows: inOpen, found }, touchedText(open))
        open = new Map()
        inOpen = 0
      }
      for (const spec of SPECS_BY_NAME.values()) {
        if (!spec.sealed && spec.name !== 'files') continue
        for await (const rows of allDigests(admin, digestOf(spec), transaction)) {
          open.set(spec.name, new Map(rows.map(row => [row.id, row.digest])))
          inOpen += rows.length
          sealed += rows.length
          if (inOpen >= ROWS_A_RECORD) await close()
        }
      }
      await close()
      return sealed
    },
  )
}

/** True when some record seals rows: there is something to hold them against. */
export async function hasSeals(admin: Sequelize): Promise<boolean> {
  const tables = await admin.query('SHOW TABLES LIKE \'event_rows\'', { type: QueryTypes.SELECT })
  return (
    tables.length > 0
    && (await admin.query('SELECT id FROM event_rows LIMIT 1', { type: QueryTypes.SELECT })).length > 0
  )
}

/** True when the book holds records and none of them seals a row. */
export async function isUnsealed(admin: Sequelize): Promise<boolean> {
  const [row] = await admin.query<{ records: unknown; seals: unknown }>(
    'SELECT EXISTS (SELECT 1 FROM events) AS records, EXISTS (SELECT 1 FROM event_rows) AS seals',
    { type: QueryTypes.SELECT },
  )
  return Number(row!.records) === 1 && Number(row!.seals) === 0
}
