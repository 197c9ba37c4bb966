import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { PortableTable } from './portable-tables'

const BATCH = 500

/** Rows of a table in order of id, in batches, each value in the form of the export. */
export async function* readRows(sequelize: Sequelize, table: PortableTable, names: readonly string[], transaction?: Transaction): AsyncGenerator<Record<string, unknown>[]> {
  const list = [...new Set(['id', ...names])].map(name => `\`${name}\``).join(', ')
  for (let lastId = 0; ;) {
    const rows = await sequelize.query<Record<string, unknown>>(`SELECT ${list} FROM \`${table.name}\` WHERE id > ? ORDER BY id LIMIT ${BATCH}`, { type: QueryTypes.SELECT, replacements: [lastId], ...(transaction ? { transaction } : {}) })
    if (rows.length === 0) return
    lastId = Number(rows.at(-1)!.id)
    yield rows.map(row => Object.fromEntries(names.map(name => [name, table.columns.get(name)!.portable.out(row[name])])))
  }
}
