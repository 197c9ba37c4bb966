import { createHash } from 'node:crypto'
import { DIGEST_LENGTH } from '#core/book/touched'
import type { Column } from '../../../server/db/schema/column'
import { snake, type Columns, type TableSpec } from '../../../server/db/schema/table-spec'

export type Row = { readonly id: number; readonly voided: number } & Readonly<Record<string, unknown>>

interface Type {
  key: string
  _length?: number | string
  _scale?: number
}
const typeOf = (column: Column<unknown>): Type => column.options.type as unknown as Type

/** What the database makes of a value: digits behind the point are its own, what is too long is refused. */
export function stored(name: string, column: Column<unknown>, value: unknown): unknown {
  if (value === null || value === undefined) {
    if (column.options.allowNull !== true) throw new Error(`column ${name} may not be empty`)
    return null
  }
  const type = typeOf(column)
  switch (type.key) {
    case 'DECIMAL':
      return Number(Number(value).toFixed(type._scale ?? 0))
    case 'STRING':
      if ([...String(value)].length > Number(type._length)) throw new Error(`data too long for column ${name}`)
      return String(value)
    case 'JSON':
      return JSON.parse(JSON.stringify(value)) as unknown
    case 'BOOLEAN':
      return Boolean(value)
    default:
      return value
  }
}

/** A value's bytes as a CAST to BINARY gives them. */
function bytesOf(column: Column<unknown>, value: unknown): Buffer {
  const type = typeOf(column)
  switch (type.key) {
    case 'DECIMAL':
      return Buffer.from(Number(value).toFixed(type._scale ?? 0))
    case 'DATE':
      return Buffer.from(new Date(value as number).toISOString().replace('T', ' ').replace('Z', ''))
    case 'JSON':
      return Buffer.from(JSON.stringify(value))
    case 'BOOLEAN':
      return Buffer.from(value ? '1' : '0')
    default:
      return Buffer.isBuffer(value) ? value : Buffer.from(String(value))
  }
}

const WHOLE: Column<unknown> = { options: { type: { key: 'INTEGER' } as never }, read: Number, portable: null as never }

/** A row's digest by the words of `row-digests.ts`, worked out here: what the database says must be the same. */
export function digestOf(spec: TableSpec<Columns>, row: Row): string {
  const parts = [
    ['id', WHOLE, row.id] as const,
    ...Object.entries(spec.columns)
      .filter(([key]) => !spec.unsealed.includes(key))
      .map(([key, column]) => [snake(key), column, row[key]] as const),
    ...(spec.voidable ? [['voided', WHOLE, row.voided] as const] : []),
  ].toSorted(([a], [b]) => (a < b ? -1 : 1))
  const hash = createHash('sha256')
  for (const [name, column, value] of parts) {
    if (value === null || value === undefined) continue
    const bytes = bytesOf(column, value)
    hash.update(`${name} ${bytes.length}:`).update(bytes).update(';')
  }
  return hash.digest('base64').slice(0, DIGEST_LENGTH)
}
