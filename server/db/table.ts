import type { Model, ModelAttributes, ModelStatic, Order, Sequelize, Transaction, WhereOptions } from 'sequelize'
import { int, type Column } from './column'

export type Columns = Record<string, Column<unknown>>
export type ReadAs<C> = C extends Column<infer T> ? T : never
export type RowOf<T> = T extends TableSpec<infer C> ? { id: number } & { [K in keyof C]: ReadAs<C[K]> } : never
/** What an insert needs: everything but the id; nullable columns may be left out. */
export type NewRowOf<T> = T extends TableSpec<infer C>
  ? { [K in keyof C as null extends ReadAs<C[K]> ? never : K]: ReadAs<C[K]> }
  & { [K in keyof C as null extends ReadAs<C[K]> ? K : never]?: ReadAs<C[K]> }
  : never

export interface TableSpec<C extends Columns> { name: string, columns: C }
/** One declaration a table; select and insert types derive from it. Every table has an `id`. */
export const tableSpec = <C extends Columns>(name: string, columns: C): TableSpec<C> => ({ name, columns })

export interface FindOptions { order?: Order, limit?: number, offset?: number, lock?: boolean }

/** A table inside one transaction (or none). Only plain rows come out, never a model. */
export interface Table<T> {
  insert: (row: NewRowOf<T>) => Promise<number>
  insertMany: (rows: NewRowOf<T>[]) => Promise<void>
  find: (where?: WhereOptions, options?: FindOptions) => Promise<RowOf<T>[]>
  one: (where: WhereOptions, options?: FindOptions) => Promise<RowOf<T> | null>
  count: (where?: WhereOptions) => Promise<number>
  update: (id: number, change: Partial<NewRowOf<T>>) => Promise<void>
}

const snake = (name: string): string => name.replace(/Ms$/, '').replace(/[A-Z]/g, ch => `_${ch.toLowerCase()}`)

/** Registers the table with Sequelize; columns are snake_case, instants without their `Ms`. */
export function defineModel<C extends Columns>(sequelize: Sequelize, spec: TableSpec<C>): ModelStatic<Model> {
  const attributes: ModelAttributes = {
    id: { ...int().options, primaryKey: true, autoIncrement: true },
  }
  for (const [name, column] of Object.entries(spec.columns)) {
    attributes[name] = { ...column.options, field: snake(name) }
  }
  return sequelize.define(spec.name, attributes, { tableName: spec.name, timestamps: false, freezeTableName: true })
}

export function bindTable<C extends Columns>(
  model: ModelStatic<Model>, spec: TableSpec<C>, transaction?: Transaction,
): Table<TableSpec<C>> {
  type Row = RowOf<TableSpec<C>>
  const read = (raw: Record<string, unknown>): Row => {
    const row: Record<string, unknown> = { id: Number(raw.id) }
    for (const [name, column] of Object.entries(spec.columns)) row[name] = column.read(raw[name])
    return row as Row
  }
  const find = async (where: WhereOptions = {}, options: FindOptions = {}) => {
    const { lock, ...rest } = options
    const rows = await model.findAll({ where, ...rest, transaction, raw: true, ...(lock ? { lock: true } : {}) })
    return (rows as unknown as Record<string, unknown>[]).map(read)
  }
  return {
    find,
    one: async (where, options) => (await find(where, { ...options, limit: 1 }))[0] ?? null,
    count: where => model.count({ where, transaction }),
    insert: async row => Number((await model.create(row, { transaction })).get('id')),
    insertMany: async (rows) => { await model.bulkCreate(rows, { transaction }) },
    update: async (id, change) => { await model.update(change, { where: { id }, transaction }) },
  }
}
