import { lastOf } from '#core/lists/last-of'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

export interface StretchOptions {
  /** Columns whose bytes are counted; none: rows alone. */
  weigh: readonly string[]
  /** SQL of more bytes that are read along with a row, from another table. */
  alongside?: string
  fromId?: number
  mostRows: number
  mostBytes: number
  transaction?: Transaction | undefined
}

/** Rows that are looked at ahead. */
const LOOK_AHEAD = 2000

/**
 * A table's ids in stretches, first and last, of so many rows and bytes at most; a heavier row is a stretch of its own.
 * What reads a table by them holds only so much at a time, however heavy single rows are.
 */
export async function* idStretches(
  sequelize: Sequelize,
  table: string,
  { weigh, alongside, fromId = Number.MIN_SAFE_INTEGER, mostRows, mostBytes, transaction }: StretchOptions,
): AsyncGenerator<[first: number, last: number]> {
  const weights = [...weigh.map(name => `LENGTH(\`${name}\`)`), ...(alongside ? [alongside] : [])]
  const bytes = weights.map(weight => `COALESCE(${weight}, 0)`).join(' + ') || '0'
  for (let after = fromId - 1; ;) {
    const rows = await sequelize.query<{ id: number; bytes: unknown }>(
      `SELECT id, ${bytes} AS bytes FROM \`${table}\` WHERE id > ${after} ORDER BY id LIMIT ${Math.max(LOOK_AHEAD, mostRows)}`,
      { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
    )
    if (rows.length === 0) return
    let [first, count, sum] = [rows[0]!.id, 0, 0]
    for (const [i, row] of rows.entries()) {
      if (count > 0 && (count >= mostRows || sum + Number(row.bytes) > mostBytes)) {
        yield [first, rows[i - 1]!.id]
        ;[first, count, sum] = [row.id, 0, 0]
      }
      count += 1
      sum += Number(row.bytes)
    }
    yield [first, lastOf(rows).id]
    after = lastOf(rows).id
  }
}
