import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { verifyBook } from '../verify-book'
import { exportContract, PORTABLE_TABLES, type PortableTable } from './portable-tables'

export type Imported
  = | { ok: true, records: number, rows: number }
    | { ok: false, why: 'not_an_export', detail: string } | { ok: false, why: 'not_empty' } | { ok: false, why: 'chain_broken', detail: string }

const BATCH = 200

class Undone extends Error {
  constructor(readonly outcome: Extract<Imported, { ok: false }>) { super(outcome.why) }
}

async function insertRows(sequelize: Sequelize, table: PortableTable, rows: readonly Record<string, unknown>[], transaction: Transaction): Promise<void> {
  const names = [...table.columns.keys()]
  const list = names.map(name => `\`${name}\``).join(', ')
  for (let at = 0; at < rows.length; at += BATCH) {
    const part = rows.slice(at, at + BATCH)
    const values = part.flatMap(row => names.map(name => table.columns.get(name)!.portable.back(row[name])))
    const marks = part.map(() => `(${names.map(() => '?').join(', ')})`).join(', ')
    await sequelize.query(`INSERT INTO \`${table.name}\` (${list}) VALUES ${marks}`, { type: QueryTypes.INSERT, replacements: values, transaction })
  }
}

/**
 * Fills an empty database with an exported shop, as its owner. All or nothing: what is not an export, or whose chain does
 * not hold, leaves the database as it was.
 */
export async function importShop(admin: Sequelize, content: unknown): Promise<Imported> {
  const read = exportContract.safeParse(content)
  if (!read.success) {
    const [issue] = read.error.issues
    return { ok: false, why: 'not_an_export', detail: `${issue!.path.join('.') || 'the file'}: ${issue!.message}` }
  }
  const { tables, book } = read.data as unknown as { tables: Record<string, Record<string, unknown>[]>, book: { records: number, hash: string } }
  try {
    return await admin.transaction(async (transaction) => {
      const run = (sql: string) => admin.query(sql, { type: QueryTypes.RAW, transaction })
      const [shops] = await admin.query<{ n: unknown }>('SELECT COUNT(*) AS n FROM shops', { type: QueryTypes.SELECT, transaction })
      if (Number(shops!.n) > 0) throw new Undone({ ok: false, why: 'not_empty' })
      await run('SET SESSION foreign_key_checks = 0')
      // Begun by the schema; the export brings its own.
      for (const begun of ['book_head', 'code_counters']) await run(`DELETE FROM ${begun}`)
      let rows = 0
      for (const table of PORTABLE_TABLES) {
        const mine = tables[table.name] ?? []
        await insertRows(admin, table, mine, transaction)
        rows += mine.length
      }
      await run('SET SESSION foreign_key_checks = 1')
      const check = await verifyBook(admin, transaction)
      if (check.broken) throw new Undone({ ok: false, why: 'chain_broken', detail: `record ${check.broken.id}: ${check.broken.why}` })
      if (check.end.hash !== book.hash || check.records !== book.records) throw new Undone({ ok: false, why: 'chain_broken', detail: 'its end is not the one that the export names' })
      return { ok: true, records: check.records, rows }
    })
  }
  catch (error) {
    if (error instanceof Undone) return error.outcome
    throw error
  }
}
