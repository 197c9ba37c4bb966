import { groupBy } from '#core/lists/group-by'
import type { Filter, FindOptions } from '../../../server/db/table/statements'
import type { Asked, Table, Touch } from '../../../server/db/table/table'
import type { LockWatch } from '../../../server/db/table/lock-order'
import type { Columns, TableSpec } from '../../../server/db/schema/table-spec'
import { inOrder, keyOf, matcher } from './matches'
import { UNIQUE_KEYS } from './unique-keys'
import { digestOf, stored, type Row } from './values'

/** Rows of one table as one transaction, or everyone outside any, sees them. */
export interface Rows {
  all: () => ReadonlyMap<number, Row>
  /** The same, to be changed. */
  mine: () => Map<number, Row>
  nextId: (given: number | undefined) => number
}

class Duplicate extends Error {
  override readonly name = 'SequelizeUniqueConstraintError'
  constructor(readonly fields: Record<string, unknown>) {
    super(`duplicate entry for ${Object.keys(fields)[0]}`)
  }
}

/** A table with the manners of the real one: what `table.ts` promises, over a map. */
export function memoryTable(spec: TableSpec<Columns>, rows: Rows, touch?: Touch, locks?: LockWatch): Table<TableSpec<Columns>> {
  const columns = new Set(['id', ...Object.keys(spec.columns), ...(spec.voidable ? ['voided'] : [])])
  const shown = ({ voided: _apart, ...row }: Row) => row as never
  const known = (key: string): string => {
    if (!columns.has(key)) throw new Error(`${spec.name} has no column ${key}`)
    return key
  }
  const touched = (written: Parameters<Touch>[1]) => {
    if (!spec.sealed) return
    if (!touch) throw new Error(`${spec.name} is changed by records alone: inside a transaction`)
    touch(spec.name, written)
  }
  const found = (where: Filter = {}, options: FindOptions = {}): Row[] => {
    const fits = matcher(spec.name, columns, spec.voidable && !options.withVoided ? { ...where, voided: 0 } : where)
    const hit = inOrder([...rows.all().values()].filter(fits), options.order ?? [])
    const from = options.limit === undefined ? 0 : (options.offset ?? 0)
    const taken = options.limit === undefined ? hit : hit.slice(from, from + options.limit)
    if (options.lock) locks?.lock(spec.name, taken.map(row => row.id))
    return taken
  }
  const picked = (hit: readonly Row[], some: readonly string[]) =>
    hit.map(row => Object.fromEntries([...new Set(['id', ...some])].map(key => [known(key), row[key]])) as never)
  const checkUnique = (row: Row, among: ReadonlyMap<number, Row>) => {
    for (const [name, key] of Object.entries(UNIQUE_KEYS[spec.name] ?? {})) {
      const values = key.map(column => row[column] ?? null)
      if (values.includes(null)) continue
      for (const other of among.values())
        if (other.id !== row.id && key.every((column, i) => keyOf(other[column]) === keyOf(values[i])))
          throw new Duplicate({ [name]: values.join('-') })
    }
  }
  const put = (row: Row) => {
    const mine = rows.mine()
    checkUnique(row, mine)
    mine.set(row.id, Object.freeze(row))
  }
  const insert = (given: Record<string, unknown>): Row => {
    for (const key of Object.keys(given)) known(key)
    const id = rows.nextId(given.id as number | undefined)
    if (rows.all().has(id)) throw new Duplicate({ PRIMARY: id })
    const values = Object.entries(spec.columns).map(([key, column]) => [key, stored(key, column, given[key])] as const)
    const row = { ...Object.fromEntries(values), id, voided: 0 }
    put(row)
    return row
  }
  const insertMany = (many: readonly object[]): number[] => {
    locks?.lockParents(many)
    const written = many.map(row => insert(row as Record<string, unknown>))
    locks?.made(spec.name, written.map(row => row.id))
    touched(written.map(row => ({ id: row.id, digest: digestOf(spec, row) })))
    return written.map(row => row.id)
  }
  const sumOf = (hit: readonly Row[], key: string) =>
    // To the last digit that a column may have: a sum of decimals is exact in the database.
    Number(hit.reduce((sum, row) => sum + Number(row[known(key)] ?? 0), 0).toFixed(8))
  const totals = (by: string, asked: Asked<string, string>) => {
    const groups = groupBy(found(asked.where ?? {}, { withVoided: asked.withVoided ?? false }), row =>
      Number(row[known(by)]),
    )
    return new Map(
      [...groups].map(([key, hit]) => [
        key,
        {
          count: hit.length,
          sum: Object.fromEntries((asked.sum ?? []).map(one => [one, sumOf(hit, one)])),
          max: Object.fromEntries(
            (asked.max ?? []).map((one) => {
              const values = hit.flatMap(row => (row[known(one)] === null ? [] : [Number(row[one])]))
              return [one, values.length ? Math.max(...values) : null]
            }),
          ),
        } as never,
      ]),
    )
  }
  return {
    insert: async row => insertMany([row])[0]!,
    insertMany: async many => insertMany(many),
    find: async (where, options) => found(where, options).map(shown),
    one: async (where, options) => found(where, { ...options, limit: 1 }).map(shown)[0] ?? null,
    the: async (where, options) => {
      const [row] = found(where, { ...options, limit: 1 }).map(shown)
      if (!row) throw new Error(`No row of ${spec.name} has ${JSON.stringify(where)}.`)
      return row
    },
    count: async (where, options) => found(where, options).length,
    pick: async (some, where, options) => picked(found(where, options), some),
    pickEach: async (some, { wheres, first }) => wheres.flatMap(where => picked(found(where, first), some)),
    sum: async (column, where) => sumOf(found(where), column),
    totals: async (by, asked) => totals(by, asked),
    setVoid: async (ids) => {
      if (ids.length === 0) return
      locks?.lock(spec.name, ids)
      touched(ids.map(id => ({ id, digest: null })))
      for (const row of found({ id: ids })) put({ ...row, voided: row.id })
    },
    update: async (of, change) => {
      const ids = typeof of === 'number' ? [of] : of
      locks?.lock(spec.name, ids)
      const set = Object.entries(change).filter(([, value]) => value !== undefined)
      for (const [key] of set) known(key)
      if (set.some(([key]) => !spec.unsealed.includes(key))) touched(ids.map(id => ({ id, digest: null })))
      const values = set.map(([key, value]) => [key, stored(key, spec.columns[key]!, value)] as const)
      for (const id of ids) {
        const row = rows.all().get(id)
        if (row && set.length > 0) put({ ...row, ...Object.fromEntries(values) } as Row)
      }
    },
  }
}
