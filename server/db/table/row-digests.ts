import { lastOf } from '#core/lists/last-of'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { ask, type Within } from '../line/ask'
import { DIGEST_LENGTH } from '#core/book/touched'
import { snake, type Columns, type TableSpec, type Was } from '../schema/table-spec'

/** A table and its columns as a digest reads them: under which name each counts, and where it stands now. */
export interface DigestOf {
  table: string
  columns: readonly { counts: string; stands: string }[]
}

/** The table as the schema has it now. `has` tells which columns are there already. */
export function digestOf(spec: TableSpec<Columns>, has: (column: string) => boolean = () => true): DigestOf {
  const names = [
    'id',
    ...Object.keys(spec.columns)
      .filter(key => !spec.unsealed.includes(key))
      .map(snake),
    ...(spec.voidable ? ['voided'] : []),
  ]
  return { table: spec.name, columns: names.filter(has).map(name => ({ counts: name, stands: name })) }
}

/**
 * The table as records sealed it under its former name. `standsAs` is the table that has the rows now: the old one
 * before the schema changes, the new one where an old export was read in.
 */
export function formerDigestOf({ name, columns }: Was, standsAs: string): DigestOf {
  const pairs = Object.entries(columns)
  return {
    table: standsAs,
    columns: pairs.map(([counts, now]) => ({ counts, stands: standsAs === name ? counts : now })),
  }
}

/**
 * A row's digest, worked out by the database from what it stores: SHA-256 over "name length:value;" of each column that
 * is not null, in order of name, so that a column added later and left empty changes none. The first 132 bits in
 * base64. Lengths count bytes. CONCAT with a null is null, and CONCAT_WS leaves nulls out.
 */
function sqlOf({ columns }: DigestOf): string {
  const part = ({ counts, stands }: DigestOf['columns'][number]) =>
    `CONCAT('${counts} ', LENGTH(\`${stands}\`), ':', CAST(\`${stands}\` AS BINARY), ';')`
  const inOrder = columns.toSorted((a, b) => (a.counts < b.counts ? -1 : 1))
  return `LEFT(TO_BASE64(UNHEX(SHA2(CONCAT_WS('', ${inOrder.map(part).join(', ')}), 256))), ${DIGEST_LENGTH})`
}

/** The digest of a table's rows as the schema has them now. */
export const digestSql = (spec: TableSpec<Columns>): string => sqlOf(digestOf(spec))

export interface RowDigest {
  id: number
  digest: string
}

/** Digests of rows by id. */
export const digestsOf = (
  sequelize: Sequelize,
  spec: TableSpec<Columns>,
  ids: readonly number[],
  within?: Within,
): Promise<RowDigest[]> =>
  ask<RowDigest>(
    sequelize,
    `SELECT id, ${digestSql(spec)} AS digest FROM \`${spec.name}\` WHERE id IN (${ids.map(Number).join(', ')})`,
    within,
  )

const STRETCH = 20_000

/** Digests of a whole table in order of id, in stretches. */
export async function* allDigests(
  sequelize: Sequelize,
  of: DigestOf,
  transaction?: Transaction,
): AsyncGenerator<RowDigest[]> {
  const digest = sqlOf(of)
  for (let after = Number.MIN_SAFE_INTEGER; ;) {
    const rows = await sequelize.query<RowDigest>(
      `SELECT id, ${digest} AS digest FROM \`${of.table}\` WHERE id > ${after} ORDER BY id LIMIT ${STRETCH}`,
      { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
    )
    if (rows.length === 0) return
    after = lastOf(rows).id
    yield rows
  }
}
