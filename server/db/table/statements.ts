import type { Model, ModelStatic } from 'sequelize'
import { quotingOf } from './quoting'

/** What a row must be, column by column: a value, a list of which it is one, null, or a comparison from `where.ts`. */
export type Filter = Readonly<Record<string, unknown>>
export type Order = readonly (readonly [column: string, direction: 'ASC' | 'DESC'])[]
export interface FindOptions {
  order?: Order
  limit?: number
  offset?: number
  lock?: boolean
  withVoided?: boolean
}

/**
 * SQL of one table. Values are quoted by Sequelize by each column's type; what never changes is put together once,
 * because finding through a model costs more than the database's own work. `fields` gives a column's name in the
 * database.
 */
export function statementsOf(model: ModelStatic<Model>, table: string, fields: ReadonlyMap<string, string>) {
  const quoting = quotingOf(model)
  const quoted = new Map([...fields].map(([key, field]) => [key, quoting.name(field)]))
  const attributes = model.getAttributes()
  const name = quoting.name(table)
  const columns = [...quoted.values()].join(', ')
  const known = <T>(from: ReadonlyMap<string, T>, key: string): T => {
    const found = from.get(key)
    if (found === undefined) throw new Error(`${table} has no column ${key}`)
    return found
  }
  const whereText = (filter: Filter): string => {
    if (Object.getOwnPropertySymbols(filter).length > 0) throw new Error(`${table}: a filter goes column by column`)
    const text = quoting.where(
      Object.fromEntries(Object.entries(filter).map(([key, value]) => [known(fields, key), value])),
    )
    return text === '' ? '' : ` WHERE ${text}`
  }
  const selectText = (
    filter: Filter,
    { order = [], limit, offset, lock }: FindOptions,
    some?: readonly string[],
  ): string =>
    [
      `SELECT ${some ? some.map(key => known(quoted, key)).join(', ') : columns} FROM ${name}${whereText(filter)}`,
      order.length
        ? `ORDER BY ${order.map(([key, direction]) => `${known(quoted, key)} ${direction}`).join(', ')}`
        : '',
      limit === undefined ? '' : `LIMIT ${Number(offset ?? 0)}, ${Number(limit)}`,
      lock ? 'FOR UPDATE' : '',
    ]
      .filter(Boolean)
      .join(' ')
  return {
    /** All columns, or those named. */
    select: selectText,
    /** The first rows of each key, in one statement: a list of many things with the latest of each. */
    selectEach: (
      some: readonly string[],
      filters: readonly Filter[],
      options: FindOptions,
    ): string => filters.map(filter => `(${selectText(filter, options, some)})`).join(' UNION ALL '),
    /** A column added up. */
    sum: (key: string, filter: Filter): string =>
      `SELECT COALESCE(SUM(${known(quoted, key)}), 0) AS figure FROM ${name}${whereText(filter)}`,
    count: (filter: Filter): string => `SELECT COUNT(*) AS figure FROM ${name}${whereText(filter)}`,
    /** How many rows there are for each value of a column, with sums and greatest values; added up by the database. */
    totals: (
      by: string,
      sums: readonly string[],
      greatest: readonly string[],
      filter: Filter,
      lock: boolean,
    ): string => {
      const figures = [
        'COUNT(*) AS count',
        ...sums.map(key => `SUM(${known(quoted, key)}) AS ${quoting.name(`sum ${key}`)}`),
        ...greatest.map(key => `MAX(${known(quoted, key)}) AS ${quoting.name(`max ${key}`)}`),
      ]
      const key = known(quoted, by)
      const select = `SELECT ${key} AS ${quoting.name('by')}, ${figures.join(', ')} FROM ${name}`
      return `${select}${whereText(filter)} GROUP BY ${key}${lock ? ' LOCK IN SHARE MODE' : ''}`
    },
    /** Rows by their columns' names in the code. What is undefined is left to the column's default. */
    insert: (rows: readonly object[]): string => {
      const stored = rows.map(row =>
        Object.fromEntries(
          Object.entries(row)
            .filter(([, value]) => value !== undefined)
            .map(([key, value]) => [known(fields, key), value]),
        ),
      )
      return quoting.insert(table, stored)
    },
    /** Marks rows void, each with its own id. */
    voidAll: (ids: readonly number[]): string =>
      `UPDATE ${name} SET ${known(quoted, 'voided')} = id WHERE id IN (${ids.map(Number).join(', ')})`,
    /** Null when nothing changes. */
    update: (filter: Filter, change: Filter): string | null => {
      const set = Object.entries(change).filter(([, value]) => value !== undefined)
      if (set.length === 0) return null
      const sets = set.map(([key, value]) => `${known(quoted, key)} = ${quoting.value(value, attributes[key]!)}`)
      return `UPDATE ${name} SET ${sets.join(', ')}${whereText(filter)}`
    },
  }
}
