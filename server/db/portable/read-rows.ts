import { atKey } from '#core/lists/at-key'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { idStretches } from '../line/id-stretches'
import type { PortableTable } from './portable-tables'

const MOST_ROWS = 500
const MOST_BYTES = 2_000_000

/** Rows of a table in order of id, a few at a time by their weight, each value in the form of the export. */
export async function* readRows(
  sequelize: Sequelize,
  table: PortableTable,
  names: readonly string[],
  transaction?: Transaction,
): AsyncGenerator<Record<string, unknown>[]> {
  const list = [...new Set(['id', ...names])].map(name => `\`${name}\``).join(', ')
  const weigh = names.filter(name => atKey(table.columns, name).heavy)
  for await (const [first, last] of idStretches(sequelize, table.name, {
    weigh,
    mostRows: MOST_ROWS,
    mostBytes: MOST_BYTES,
    transaction,
  })) {
    const rows = await sequelize.query<Record<string, unknown>>(
      `SELECT ${list} FROM \`${table.name}\` WHERE id BETWEEN ${first} AND ${last} ORDER BY id`,
      { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
    )
    yield rows.map(row =>
      Object.fromEntries(names.map(name => [name, atKey(table.columns, name).portable.out(row[name])])),
    )
  }
}
