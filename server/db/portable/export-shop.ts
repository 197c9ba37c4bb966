import type { Milliseconds } from '#core/units/quantities'
import { Transaction, type Sequelize } from 'sequelize'
import { openTables } from '../database'
import { EXPORT_FORMAT, EXPORT_VERSION, PORTABLE_TABLES } from './portable-tables'
import { readRows } from './read-rows'

/** The whole shop as JSON text, row by row, as it stood at one moment however long the reading takes. */
export async function* exportShop(sequelize: Sequelize, nowMs: Milliseconds): AsyncGenerator<string> {
  const transaction = await sequelize.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ })
  try {
    const head = await openTables(sequelize, transaction).bookHead.the({ id: 1 })
    const start = {
      format: EXPORT_FORMAT,
      version: EXPORT_VERSION,
      exportedAt: new Date(nowMs).toISOString(),
      book: { records: head.lastId, hash: head.hash },
    }
    yield `${JSON.stringify(start).slice(0, -1)},"tables":{`
    for (const [i, table] of PORTABLE_TABLES.entries()) {
      yield `${i ? ',' : ''}\n${JSON.stringify(table.name)}:[`
      let first = true
      for await (const rows of readRows(sequelize, table, [...table.columns.keys()], transaction)) {
        for (const row of rows) {
          yield `${first ? '' : ','}\n${JSON.stringify(row)}`
          first = false
        }
      }
      yield ']'
    }
    yield '\n}}\n'
  }
  finally {
    await transaction.rollback()
  }
}
