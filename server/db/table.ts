import { QueryTypes, type Model, type ModelAttributes, type ModelStatic, type QueryInterface, type QueryInterfaceOptions, type Sequelize, type Transaction, type WhereOptions } from 'sequelize'
import { int, type Column } from './column'
import { statementsOf, type Filter, type FindOptions } from './statements'

export type Columns = Record<string, Column<unknown>>
export type ReadAs<C> = C extends Column<infer T> ? T : never
export type RowOf<T> = T extends TableSpec<infer C> ? { id: number } & { [K in keyof C]: ReadAs<C[K]> } : never
/** What an insert needs: everything but the id; nullable columns may be left out. */
export type NewRowOf<T> = T extends TableSpec<infer C>
  ? { [K in keyof C as null extends ReadAs<C[K]> ? never : K]: ReadAs<C[K]> }
  & { [K in keyof C as null extends ReadAs<C[K]> ? K : never]?: ReadAs<C[K]> }
  : never

export interface TableSpec<C extends Columns> { name: string, columns: C, voidable: boolean }
/** One declaration a table; select and insert types derive from it. Every table has an `id`. */
export const tableSpec = <C extends Columns>(name: string, columns: C): TableSpec<C> => ({ name, columns, voidable: false })
/** Rows that a later record may void: they stay in the table and out of every answer. */
export const voidableSpec = <C extends Columns>(name: string, columns: C): TableSpec<C> => ({ name, columns, voidable: true })

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
  update: (id: number, change: Partial<NewRowOf<T>>) => Promise<void>
}

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

/** The fourth argument, each field's type, is missing from the declarations. */
type Inserter = QueryInterface & { bulkInsert: (table: string, rows: object[], options: QueryInterfaceOptions, fields: object) => Promise<object | number> }

/** Prepares a table once; the answer then binds it to a transaction, or to none. */
export function tableBinder<C extends Columns>(model: ModelStatic<Model>, spec: TableSpec<C>): (transaction?: Transaction) => Table<TableSpec<C>> {
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
  const fields = Object.fromEntries(Object.values(model.getAttributes()).map(attribute => [attribute.field!, attribute]))
  const stored = (row: object) => Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined).map(([key, value]) => [names.get(key)!, value]))
  const live = (where: Filter): Filter => spec.voidable ? { ...where, voided: 0 } : where
  const queries = sequelize.getQueryInterface() as Inserter

  return (transaction) => {
    const inIt = transaction ? { transaction } : {}
    const find = async (where: Filter = {}, options: FindOptions = {}) => {
      const rows = await sequelize.query<Record<string, unknown>>(sql.select(options.withVoided ? where : live(where), options), { type: QueryTypes.SELECT, ...inIt })
      return rows.map(read)
    }
    const update = async (id: number, change: Filter) => {
      const text = sql.update({ id }, change)
      if (text !== null) await sequelize.query(text, { type: QueryTypes.BULKUPDATE, ...inIt })
    }
    return {
      find,
      one: async (where, options) => (await find(where, { ...options, limit: 1 }))[0] ?? null,
      count: (where = {}, options) => model.count({ where: (options?.withVoided ? where : live(where)) as WhereOptions, ...inIt }),
      insert: async row => Number(await queries.bulkInsert(spec.name, [stored(row)], inIt, fields)),
      insertMany: async (rows) => {
        if (rows.length > 0) await queries.bulkInsert(spec.name, rows.map(stored), inIt, fields)
      },
      // A voided row's mark is its own id: unique keys then leave its place to another.
      setVoid: async (ids) => {
        for (const id of ids) await update(id, { voided: id })
      },
      update: (id, change) => update(id, change as Filter),
    }
  }
}
