import { QueryTypes, type Model, type ModelAttributes, type ModelStatic, type Sequelize, type Transaction, type WhereOptions } from 'sequelize'
import { int, type Column } from './column'
import { statementsOf, type Filter, type FindOptions } from './statements'

export type Columns = Record<string, Column<unknown>>
export type ReadAs<C> = C extends Column<infer T> ? T : never
export type RowOf<T> = T extends TableSpec<infer C, infer _K> ? { id: number } & { [K in keyof C]: ReadAs<C[K]> } : never
/** What an insert needs: everything but the id; nullable columns may be left out. */
export type NewRowOf<T> = T extends TableSpec<infer C, infer _K>
  ? { [K in keyof C as null extends ReadAs<C[K]> ? never : K]: ReadAs<C[K]> }
  & { [K in keyof C as null extends ReadAs<C[K]> ? K : never]?: ReadAs<C[K]> }
  : never
/** What an update may bring. */
export type ChangeOf<T> = T extends TableSpec<infer C, infer K> ? { [N in K]?: ReadAs<C[N]> } : never

export interface TableSpec<C extends Columns, K extends keyof C & string = keyof C & string> {
  name: string
  columns: C
  voidable: boolean
  /** What a later record may change of a row; the application's database user may change nothing else. */
  changes: readonly K[]
  /** Whether the records that write a row carry its digest, and which columns do not count in it. */
  sealed: boolean
  unsealed: readonly string[]
}
/** One declaration a table; select, insert and update types derive from it. Every table has an `id`. */
export const tableSpec = <C extends Columns, const K extends keyof C & string = never>(name: string, columns: C, changes: readonly K[] = []): TableSpec<C, K> =>
  ({ name, columns, voidable: false, changes, sealed: true, unsealed: [] })
/** Rows that a later record may void: they stay in the table and out of every answer. */
export const voidableSpec = <C extends Columns, const K extends keyof C & string = never>(name: string, columns: C, changes: readonly K[] = []): TableSpec<C, K> =>
  ({ ...tableSpec(name, columns, changes), voidable: true })
/** Of a running server, or the book itself: no record seals it. */
export const outsideBook = <S extends TableSpec<Columns>>(spec: S): S => ({ ...spec, sealed: false })

/** A table inside one transaction (or none). Only plain rows come out, never a model. */
export interface Table<T> {
  insert: (row: NewRowOf<T>) => Promise<number>
  /** Rows may bring their id, where the order is theirs to give. */
  insertMany: (rows: (NewRowOf<T> & { id?: number })[]) => Promise<void>
  find: (where?: Filter, options?: FindOptions) => Promise<RowOf<T>[]>
  one: (where: Filter, options?: FindOptions) => Promise<RowOf<T> | null>
  count: (where?: Filter, options?: Pick<FindOptions, 'withVoided'>) => Promise<number>
  /** Takes rows out of the current state; only voidable tables have it done. */
  setVoid: (ids: readonly number[]) => Promise<void>
  update: (id: number, change: ChangeOf<T>) => Promise<void>
}

/** Rows that a transaction wrote, told to it as they are written. */
export type Touch = (table: string, ids: readonly number[]) => void

/** A column's name in the database: snake_case, instants without their `Ms`. */
export const snake = (name: string): string => name.replace(/Ms$/, '').replace(/[A-Z]/g, ch => `_${ch.toLowerCase()}`)

/** Registers the table with Sequelize; columns are snake_case, instants without their `Ms`. */
export function defineModel<C extends Columns>(sequelize: Sequelize, spec: TableSpec<C>): ModelStatic<Model> {
  const attributes: ModelAttributes = {
    id: { ...int().options, primaryKey: true, autoIncrement: true },
  }
  for (const [name, column] of Object.entries(spec.columns)) {
    attributes[name] = { ...column.options, field: snake(name) }
  }
  if (spec.voidable) attributes.voided = { ...int().options, defaultValue: 0 }
  return sequelize.define(spec.name, attributes, { tableName: spec.name, timestamps: false, freezeTableName: true })
}

/** Prepares a table once; the answer then binds it to a transaction, or to none. */
export function tableBinder<C extends Columns>(model: ModelStatic<Model>, spec: TableSpec<C>): (transaction?: Transaction, touch?: Touch) => Table<TableSpec<C>> {
  type Row = RowOf<TableSpec<C>>
  const names = new Map(['id', ...Object.keys(spec.columns), ...(spec.voidable ? ['voided'] : [])].map(key => [key, snake(key)]))
  const columns = Object.entries(spec.columns).map(([key, column]) => ({ key, field: snake(key), column }))
  const read = (raw: Record<string, unknown>): Row => {
    const row: Record<string, unknown> = { id: Number(raw.id) }
    for (const { key, field, column } of columns) row[key] = column.read(raw[field])
    return row as Row
  }
  const sql = statementsOf(model, spec.name, names)
  const sequelize = model.sequelize!
  const live = (where: Filter): Filter => spec.voidable ? { ...where, voided: 0 } : where

  return (transaction, touch) => {
    const inIt = transaction ? { transaction } : {}
    const touched = (ids: readonly number[]) => {
      if (!spec.sealed) return
      if (!touch) throw new Error(`${spec.name} is changed by records alone: inside a transaction`)
      touch(spec.name, ids)
    }
    const find = async (where: Filter = {}, options: FindOptions = {}) => {
      const rows = await sequelize.query<Record<string, unknown>>(sql.select(options.withVoided ? where : live(where), options), { type: QueryTypes.SELECT, ...inIt })
      return rows.map(read)
    }
    const update = async (id: number, change: Filter) => {
      const text = sql.update({ id }, change)
      if (text !== null && Object.keys(change).some(key => !spec.unsealed.includes(key))) touched([id])
      if (text !== null) await sequelize.query(text, { type: QueryTypes.BULKUPDATE, ...inIt })
    }
    const insert = async (rows: readonly object[]) => {
      const ids = (await sequelize.query<{ id: unknown }>(sql.insert(rows), { type: QueryTypes.SELECT, ...inIt })).map(row => Number(row.id))
      touched(ids)
      return ids
    }
    return {
      find,
      one: async (where, options) => (await find(where, { ...options, limit: 1 }))[0] ?? null,
      count: (where = {}, options) => model.count({ where: (options?.withVoided ? where : live(where)) as WhereOptions, ...inIt }),
      insert: async (row) => {
        const [id] = await insert([row])
        return id!
      },
      insertMany: async (rows) => {
        if (rows.length > 0) await insert(rows)
      },
      // A voided row's mark is its own id: unique keys then leave its place to another.
      setVoid: async (ids) => {
        for (const id of ids) await update(id, { voided: id })
      },
      update: (id, change) => update(id, change as Filter),
    }
  }
}
