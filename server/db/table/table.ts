import type { Model, ModelAttributes, ModelStatic, Sequelize } from 'sequelize'
import { ask, askNumber, type Within } from '../line/ask'
import { int } from '../schema/column'
import { digestSql } from './row-digests'
import { statementsOf, type Filter, type FindOptions, type Order } from './statements'
import { columnsOf, rowReader } from './row-reader'
import type { LockWatch } from './lock-order'
import { snake, type ChangeOf, type Columns, type NewRowOf, type RowOf, type TableSpec, type WhereOf } from '../schema/table-spec'

type IdOf<T> = keyof RowOf<T> & 'id'
/** `lock` keeps the rows from others until the transaction ends, and sees what others have written by now. */
export interface Asked<S, M, W = Filter> {
  sum?: readonly S[]
  max?: readonly M[]
  where?: W
  lock?: boolean
  withVoided?: boolean
}
/** Instants come as milliseconds. */
export interface Totals<S extends string, M extends string> {
  count: number
  sum: Record<S, number>
  max: Record<M, number | null>
}

/** A table inside one transaction (or none). Only plain rows come out, never a model. */
export interface Table<T> {
  insert: (row: NewRowOf<T>) => Promise<number>
  /** Rows may bring their id, where the order is theirs to give. */
  insertMany: (rows: (NewRowOf<T> & { id?: number })[]) => Promise<number[]>
  find: (where?: WhereOf<T>, options?: FindOptions) => Promise<RowOf<T>[]>
  one: (where: WhereOf<T>, options?: FindOptions) => Promise<RowOf<T> | null>
  /** The row that must be there; throws where it is not, and says which was looked for. */
  the: (where: WhereOf<T>, options?: FindOptions) => Promise<RowOf<T>>
  count: (where?: WhereOf<T>, options?: Pick<FindOptions, 'withVoided'>) => Promise<number>
  /** Only the columns named, and the id: no list reads what it does not show. */
  pick: <K extends keyof RowOf<T> & string>(
    columns: readonly K[],
    where?: WhereOf<T>,
    options?: FindOptions,
  ) => Promise<Pick<RowOf<T>, K | IdOf<T>>[]>
  /**
   * The rows of each filter, or the first of them, in one statement; a row that several let through comes as often.
   * Without a limit in no order.
   */
  pickEach: <K extends keyof RowOf<T> & string>(
    columns: readonly K[],
    each: { wheres: readonly WhereOf<T>[]; first?: { order: Order; limit: number } },
  ) => Promise<Pick<RowOf<T>, K | IdOf<T>>[]>
  /** A column added up by the database; 0 of no rows. */
  sum: (column: keyof RowOf<T> & string, where?: WhereOf<T>) => Promise<number>
  /**
   * Rows for each value of a number's column: how many, and what the database adds up of them. Values without rows are
   * not in it.
   */
  totals: <S extends keyof RowOf<T> & string = never, M extends keyof RowOf<T> & string = never>(
    by: keyof RowOf<T> & string,
    asked: Asked<S, M, WhereOf<T>>,
  ) => Promise<Map<number, Totals<S, M>>>
  /** Takes rows out of the current state; only voidable tables have it done. */
  setVoid: (ids: readonly number[]) => Promise<void>
  /** Changes one row, or several alike, in one statement. */
  update: (id: number | readonly number[], change: ChangeOf<T>) => Promise<void>
}

/** Rows that a transaction wrote, told to it as they are written; with the digest of each where it is known already. */
export type Touch = (table: string, rows: readonly { id: number; digest: string | null }[]) => void

/** Registers the table with Sequelize; columns are snake_case, instants without their `Ms`. */
export function defineModel<C extends Columns>(sequelize: Sequelize, spec: TableSpec<C>): ModelStatic<Model> {
  const attributes: ModelAttributes = { id: { ...int().options, primaryKey: true, autoIncrement: true } }
  for (const [name, column] of Object.entries(spec.columns)) {
    attributes[name] = { ...column.options, field: snake(name) }
  }
  if (spec.voidable) attributes.voided = { ...int().options, defaultValue: 0 }
  return sequelize.define(spec.name, attributes, { tableName: spec.name, timestamps: false, freezeTableName: true })
}

/** A list of none lets no row through: the database need not be asked. */
const letsNone = (where: Filter): boolean =>
  Object.values(where).some(value => Array.isArray(value) && value.length === 0)

/** Prepares a table once; the answer then binds it to a transaction, or to none. */
export function tableBinder<C extends Columns>(
  model: ModelStatic<Model>,
  spec: TableSpec<C>,
): (within?: Within, touch?: Touch, locks?: LockWatch) => Table<TableSpec<C>> {
  const names = new Map(
    ['id', ...Object.keys(spec.columns), ...(spec.voidable ? ['voided'] : [])].map(key => [key, snake(key)]),
  )
  const columns = columnsOf(spec)
  const read = rowReader(spec)
  const sql = statementsOf(model, spec.name, names)
  const digest = spec.sealed ? `, ${digestSql(spec)} AS digest` : ''
  const sequelize = model.sequelize!
  const live = (where: Filter): Filter => (spec.voidable ? { ...where, voided: 0 } : where)

  return (within, touch, locks) => {
    const run = (text: string) => ask<Record<string, unknown>>(sequelize, text, within)
    const touched = (rows: Parameters<Touch>[1]) => {
      if (!spec.sealed) return
      if (!touch) throw new Error(`${spec.name} is changed by records alone: inside a transaction`)
      touch(spec.name, rows)
    }
    const ofThose = (where: Filter, withVoided = false): Filter => (withVoided ? where : live(where))
    const rowsOf = async (where: Filter, textOf: (where: Filter) => string) =>
      letsNone(where) ? [] : await run(textOf(where))
    const locked = <R extends { id: number }>(rows: R[], { lock }: FindOptions): R[] => {
      if (lock) locks?.lock(spec.name, rows.map(row => row.id))
      return rows
    }
    const find = async (where: Filter = {}, options: FindOptions = {}) =>
      locked((await rowsOf(ofThose(where, options.withVoided), of => sql.select(of, options))).map(read), options)
    const pick = (rows: readonly Record<string, unknown>[], some: readonly string[]) => {
      const wanted = columns.filter(({ key }) => some.includes(key))
      return rows.map((raw) => {
        const row: Record<string, unknown> = { id: Number(raw.id) }
        for (const { key, field, column } of wanted) row[key] = column.read(raw[field])
        return row as never
      })
    }
    const figure = async (where: Filter, textOf: (where: Filter) => string): Promise<number> => {
      const [row] = await rowsOf(where, textOf)
      return Number(row?.figure ?? 0)
    }
    const withId = (some: readonly string[]) => [...new Set(['id', ...some])]
    const totals = async (by: string, asked: Asked<string, string>) => {
      const rows = await rowsOf(ofThose(asked.where ?? {}, asked.withVoided), of =>
        sql.totals(by, asked.sum ?? [], asked.max ?? [], of, asked.lock ?? false),
      )
      return rows.map(raw => ({
        by: Number(raw.by),
        count: Number(raw.count),
        sum: Object.fromEntries((asked.sum ?? []).map(key => [key, Number(raw[`sum ${key}`] ?? 0)])),
        max: Object.fromEntries(
          (asked.max ?? []).map(key => [
            key,
            raw[`max ${key}`] === null
              ? null
              : Number(spec.columns[key] ? spec.columns[key].read(raw[`max ${key}`]) : raw[`max ${key}`]),
          ]),
        ),
      }))
    }
    const update = async (of: number | readonly number[], change: Filter) => {
      const ids = typeof of === 'number' ? [of] : of
      if (ids.length === 0) return
      locks?.lock(spec.name, ids)
      const text = sql.update({ id: of }, change)
      if (text !== null && Object.keys(change).some(key => !spec.unsealed.includes(key)))
        touched(ids.map(id => ({ id, digest: null })))
      if (text !== null) await run(text)
    }
    const sealed = async (rows: readonly object[]) => {
      const stored = await run(`${sql.insert(rows)} RETURNING id${digest}`)
      return stored.map(row => ({ id: Number(row.id), digest: (row.digest as string | undefined) ?? null }))
    }
    /** Where nothing is to be sealed, what is known of a row need not be brought. */
    const plain = async (rows: readonly { id?: number }[]) => {
      const given = rows.flatMap(row => row.id ?? [])
      if (given.length < rows.length && rows.length > 1) return await sealed(rows)
      const number = await askNumber(sequelize, sql.insert(rows), within)
      return (given.length > 0 ? given : [number]).map(id => ({ id, digest: null }))
    }
    const insert = async (rows: readonly object[]) => {
      locks?.lockParents(rows)
      const written = await (spec.sealed ? sealed(rows) : plain(rows))
      touched(written)
      locks?.made(spec.name, written.map(row => row.id))
      return written.map(row => row.id)
    }
    return {
      find,
      one: async (where, options) => (await find(where, { ...options, limit: 1 }))[0] ?? null,
      the: async (where, options) => {
        const [row] = await find(where, { ...options, limit: 1 })
        if (!row) throw new Error(`No row of ${spec.name} has ${JSON.stringify(where)}.`)
        return row
      },
      count: (where = {}, options) => figure(ofThose(where, options?.withVoided), sql.count),
      pick: async (some, where = {}, options = {}) =>
        locked(pick(await rowsOf(ofThose(where, options.withVoided), of => sql.select(of, options, withId(some))), some), options),
      pickEach: async (some, { wheres, first = {} }) => {
        const each = wheres.filter(where => !letsNone(where)).map(live)
        return each.length === 0 ? [] : pick(await run(sql.selectEach(withId(some), each, first)), some)
      },
      sum: (column, where = {}) => figure(live(where), of => sql.sum(column, of)),
      totals: async (by, asked) =>
        new Map((await totals(by, asked)).map(({ by: key, ...rest }) => [key, rest as never])),
      insert: async (row) => {
        const [id] = await insert([row])
        return id!
      },
      insertMany: async rows => (rows.length > 0 ? await insert(rows) : []),
      // A voided row's mark is its own id: unique keys then leave its place to another.
      setVoid: async (ids) => {
        if (ids.length === 0) return
        locks?.lock(spec.name, ids)
        touched(ids.map(id => ({ id, digest: null })))
        await run(sql.voidAll(ids))
      },
      update: (id, change) => update(id, change as Filter),
    }
  }
}
