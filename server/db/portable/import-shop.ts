import type { Milliseconds } from '#core/units/quantities'
import type { Readable } from 'node:stream'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { z } from 'zod'
import type { Finding } from '#core/book/findings'
import { isUnsealed, sealRows } from '../integrity/seal-rows'
import { layOldSteps } from '../migrations/2026-11-29-steps'
import { layOldPlaces } from '../migrations/2026-11-30-places'
import { verifyBook } from '../integrity/verify-book'
import { headContract, isMissing, PORTABLE_TABLES, SINCE_PLACES, tableOf, type PortableTable } from './portable-tables'
import { NotJson, readExport } from './read-export'

export type Imported
  = | { ok: true; records: number; rows: number; unmarked: boolean; findings: Finding[]; found: number }
    | { ok: false; why: 'not_json' | 'not_an_export' | 'end_differs'; detail: string }
    | { ok: false; why: 'not_empty' }
    | { ok: false; why: 'not_whole'; findings: Finding[]; found: number }

const MOST_ROWS = 500
const MOST_BYTES = 4_000_000

class Undone extends Error {
  constructor(readonly outcome: Extract<Imported, { ok: false }>) {
    super(outcome.why)
  }
}

const notAnExport = (where: string, error: z.ZodError): Undone => {
  const [issue] = error.issues
  return new Undone({
    ok: false,
    why: 'not_an_export',
    detail: `${[where, ...issue!.path].filter(step => step !== '').join('.') || 'the file'}: ${issue!.message}`,
  })
}

/** Begun by the schema, moved by what is written. */
const MOVED_BY_ITSELF = 'book_head'

const sizeOf = (value: unknown): number => (typeof value === 'string' || Buffer.isBuffer(value) ? value.length : 8)

/** Gathers rows of one table and writes them, few enough at a time for any server's packet. */
function inserter(sequelize: Sequelize, transaction: Transaction) {
  let table: PortableTable | null = null
  let rows: unknown[][] = []
  let bytes = 0
  const flush = async () => {
    if (table !== null && rows.length > 0) {
      const names = [...table.columns.keys()]
      const marks = `(${names.map(() => '?').join(', ')})`
      await sequelize.query(
        `INSERT INTO \`${table.name}\` (${names.map(name => `\`${name}\``).join(', ')}) VALUES ${rows.map(() => marks).join(', ')}`,
        { type: QueryTypes.INSERT, replacements: rows.flat(), transaction },
      )
    }
    rows = []
    bytes = 0
  }
  const add = async (into: PortableTable, row: Record<string, unknown>) => {
    const values = [...into.columns].map(([name, column]) => column.portable.back(row[name]))
    const weighs = values.reduce<number>((sum, value) => sum + sizeOf(value), 0)
    if (into !== table || rows.length >= MOST_ROWS || bytes + weighs > MOST_BYTES) await flush()
    table = into
    rows.push(values)
    bytes += weighs
  }
  return { add, flush }
}

async function fill(
  admin: Sequelize,
  source: Readable,
  transaction: Transaction,
  evenBroken: boolean,
): Promise<Extract<Imported, { ok: true }>> {
  const run = (sql: string) => admin.query(sql, { type: QueryTypes.RAW, transaction })
  const [shops] = await admin.query<{ n: unknown }>('SELECT COUNT(*) AS n FROM shops', {
    type: QueryTypes.SELECT,
    transaction,
  })
  if (Number(shops!.n) > 0) throw new Undone({ ok: false, why: 'not_empty' })
  await run('SET SESSION foreign_key_checks = 0')
  // Begun by the schema; the export brings its own.
  await run('DELETE FROM code_counters')
  const { add, flush } = inserter(admin, transaction)
  const seen = new Set<string>()
  let book: z.output<typeof headContract> | null = null
  let rows = 0
  let unmarked = false
  for await (const part of readExport(source)) {
    if ('head' in part) {
      const head = headContract.safeParse(part.head)
      if (!head.success) throw notAnExport('', head.error)
      book = head.data
      continue
    }
    const into = tableOf(part.table, part.row)
    if (!into)
      throw new Undone({ ok: false, why: 'not_an_export', detail: `tables.${part.table}: there is no such table` })
    const { table } = into
    seen.add(table.name)
    const row = table.row.safeParse(into.row)
    if (!row.success) throw notAnExport(`tables.${table.name}.${part.index}`, row.error)
    rows += 1
    // An export from before there was a mark of what is finished.
    if (table.name === 'lots' && !('finished_at' in row.data)) unmarked = true
    if (table.name !== MOVED_BY_ITSELF) await add(table, row.data)
  }
  await flush()
  const missing = PORTABLE_TABLES.find(table => isMissing(table, seen, book!.version))
  if (missing) throw new Undone({ ok: false, why: 'not_an_export', detail: `tables.${missing.name}: missing` })
  await run('SET SESSION foreign_key_checks = 1')
  // An export from before there were steps or places: they are laid down once the rest is shown to be whole.
  const stepless = seen.has('lots') && !seen.has('steps')
  const fromBefore = book!.version < SINCE_PLACES
  const check = await verifyBook(admin, { transaction, fromBefore })
  if (check.broken && !evenBroken)
    throw new Undone({ ok: false, why: 'not_whole', findings: check.findings, found: check.found })
  if (check.end.hash !== book!.book.hash || check.records !== book!.book.records)
    throw new Undone({ ok: false, why: 'end_differs', detail: 'its end is not the one that the export names' })
  if (stepless) await layOldSteps(admin, transaction)
  if (fromBefore) await layOldPlaces(admin, transaction)
  const { records, findings, found } = check
  return { ok: true, records, rows, unmarked: unmarked || fromBefore, findings, found }
}

/** A number of the book that the trigger refuses is a gap in the file's records. */
const isOutOfOrder = (error: unknown): boolean =>
  (error as { parent?: { sqlState?: string } }).parent?.sqlState === '45000'

/**
 * Fills an empty database with an exported shop as it streams in, as its owner. All or nothing: what is not an export,
 * whose chain does not hold, or whose rows are not what the book sealed, leaves the database as it was. A shop from
 * before there were seals is sealed as it stands. `evenBroken`: rows that are not what the book sealed are taken as
 * they are, and told; the book goes on finding them.
 */
export async function importShop(
  admin: Sequelize,
  source: Readable,
  nowMs: Milliseconds,
  { evenBroken = false } = {},
): Promise<Imported> {
  try {
    const done = await admin.transaction(transaction => fill(admin, source, transaction, evenBroken))
    const unsealed = await isUnsealed(admin)
    if (unsealed || done.unmarked) await sealRows(admin, nowMs, unsealed ? null : 0)
    return done
  }
  catch (error) {
    if (error instanceof Undone) return error.outcome
    if (error instanceof NotJson) return { ok: false, why: 'not_json', detail: error.message }
    if (isOutOfOrder(error))
      return { ok: false, why: 'end_differs', detail: 'its records are not numbered one after the other' }
    throw error
  }
}
