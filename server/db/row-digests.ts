import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { DIGEST_LENGTH } from '#core/book/touched'
import { snake, type Columns, type TableSpec } from './table-spec'

/**
 * A row's digest, worked out by the database from what it stores: SHA-256 over "name length:value;" of each column that
 * is not null, in order of name, so that a column added later and left empty changes none. The first 132 bits in
 * base64. `has` tells which columns the schema has already.
 */
export function digestSql(spec: TableSpec<Columns>, has: (column: string) => boolean = () => true): string {
  const names = [
    'id',
    ...Object.keys(spec.columns)
      .filter(key => !spec.unsealed.includes(key))
      .map(snake),
    ...(spec.voidable ? ['voided'] : []),
  ]
    .filter(has)
    .toSorted()
  const part = (name: string) =>
    `IF(\`${name}\` IS NULL, '', CONCAT('${name} ', LENGTH(CAST(\`${name}\` AS BINARY)), ':', CAST(\`${name}\` AS BINARY), ';'))`
  return `LEFT(TO_BASE64(UNHEX(SHA2(CONCAT(${names.map(part).join(', ')}), 256))), ${DIGEST_LENGTH})`
}

export interface RowDigest {
  id: number
  digest: string
}

/** Digests of rows by id. */
export const digestsOf = (
  sequelize: Sequelize,
  spec: TableSpec<Columns>,
  ids: readonly number[],
  transaction?: Transaction,
): Promise<RowDigest[]> =>
  sequelize.query<RowDigest>(
    `SELECT id, ${digestSql(spec)} AS digest FROM \`${spec.name}\` WHERE id IN (${ids.map(Number).join(', ')})`,
    { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
  )

const STRETCH = 20_000

/** Digests of a whole table in order of id, in stretches. */
export async function* allDigests(
  sequelize: Sequelize,
  spec: TableSpec<Columns>,
  transaction?: Transaction,
  has?: (column: string) => boolean,
): AsyncGenerator<RowDigest[]> {
  const digest = digestSql(spec, has)
  for (let after = Number.MIN_SAFE_INTEGER; ;) {
    const rows = await sequelize.query<RowDigest>(
      `SELECT id, ${digest} AS digest FROM \`${spec.name}\` WHERE id > ${after} ORDER BY id LIMIT ${STRETCH}`,
      { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
    )
    if (rows.length === 0) return
    after = rows.at(-1)!.id
    yield rows
  }
}
