import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { RowFinding } from '#core/book/findings'
import type { LastDigests } from './last-digests'
import { allDigests, digestOf, formerDigestOf, type DigestOf } from '../table/row-digests'
import { SPECS_BY_NAME } from '../database'
import type { Columns, TableSpec } from '../schema/table-spec'

/** Columns of every table as the schema has them now: a walk goes before a change of the schema too. */
export async function columnsThere(sequelize: Sequelize, transaction?: Transaction): Promise<Map<string, Set<string>>> {
  const rows = await sequelize.query<{ name: string; col: string }>(
    'SELECT table_name AS name, column_name AS col FROM information_schema.columns WHERE table_schema = DATABASE()',
    { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
  )
  const found = new Map<string, Set<string>>()
  for (const { name, col } of rows) found.set(name, (found.get(name) ?? new Set()).add(col))
  return found
}

type Columned = ReadonlyMap<string, ReadonlySet<string>>

/** What to read of a table, and under which name the book knows it; null where it is not there yet. */
function readAs(
  spec: TableSpec<Columns>,
  there: Columned,
  byFormer: boolean,
): { of: DigestOf; name: string } | null {
  const { was } = spec
  const columns = there.get(spec.name)
  if (was && byFormer && columns) return { of: formerDigestOf(was, spec.name), name: was.name }
  if (columns) return { of: digestOf(spec, column => columns.has(column)), name: spec.name }
  // A walk goes before a change of the schema too.
  return was && there.has(was.name) ? { of: formerDigestOf(was, was.name), name: was.name } : null
}

/**
 * Every row of the shop against the last digest that the book has of it, by the columns that are there. Files count once
 * a record names them. `byFormer`: the book is from before some tables got their names of today.
 */
export async function* verifyRows(
  sequelize: Sequelize,
  { last, there, byFormer }: { last: LastDigests; there: Columned; byFormer: boolean },
  counted: (rows: number) => void,
  transaction?: Transaction,
): AsyncGenerator<RowFinding> {
  for (const spec of SPECS_BY_NAME.values()) {
    const named = spec.name === 'files'
    if (!spec.sealed && !named) continue
    const read = readAs(spec, there, byFormer)
    if (!read) continue
    for await (const rows of allDigests(sequelize, read.of, transaction)) {
      counted(rows.length)
      for (const { id, digest } of rows) {
        const { fits, recordId } = last.check(read.name, id, digest)
        if (fits || (named && recordId === null)) continue
        yield { id: recordId, why: recordId === null ? 'row_without_record' : 'row_differs', table: spec.name, row: id }
      }
    }
    for (const { id, recordId } of last.left(read.name))
      yield { id: recordId, why: 'row_gone', table: spec.name, row: id }
  }
}

/** Files whose bytes are not those of their hash. Read one by one by the database: only their numbers travel. */
export async function* verifyFiles(sequelize: Sequelize, transaction?: Transaction): AsyncGenerator<RowFinding> {
  const inIt = transaction ? { transaction } : {}
  const rows = await sequelize.query<{ id: number }>(
    'SELECT id FROM files WHERE SHA2(content, 256) <> sha256 OR LENGTH(content) <> bytes ORDER BY id',
    { type: QueryTypes.SELECT, ...inIt },
  )
  for (const { id } of rows) yield { id: null, why: 'file_differs', table: 'files', row: id }
}
