import type { Column } from './column'
import type { Condition } from './where'

export type Columns = Record<string, Column<unknown>>
export type ReadAs<C> = C extends Column<infer T> ? T : never
export type RowOf<T>
  = T extends TableSpec<infer C, infer _K> ? { id: number } & { [K in keyof C]: ReadAs<C[K]> } : never
type Needed<C> = { [K in keyof C as null extends ReadAs<C[K]> ? never : K]: ReadAs<C[K]> }
type Optional<C> = { [K in keyof C as null extends ReadAs<C[K]> ? K : never]?: ReadAs<C[K]> }
/** What an insert needs: everything but the id; nullable columns may be left out. */
export type NewRowOf<T> = T extends TableSpec<infer C, infer _K> ? Needed<C> & Optional<C> : never
/** What an update may bring. */
export type ChangeOf<T> = T extends TableSpec<infer C, infer K> ? { [N in K]?: ReadAs<C[N]> } : never

/**
 * What rows must be, column by column: a value, a list of which it is one, null where the column may hold none, or a
 * condition from `where.ts`. Instants are milliseconds.
 */
export type WhereOf<T> = { readonly [K in keyof RowOf<T>]?: Asking<RowOf<T>[K]> }
type Asking<V> = V | readonly NonNullable<V>[] | Condition<NonNullable<V>>

export interface TableSpec<C extends Columns, K extends keyof C & string = keyof C & string> {
  name: string
  columns: C
  voidable: boolean
  /** What a later record may change of a row; the application's database user may change nothing else. */
  changes: readonly K[]
  /** Whether the records that write a row carry its digest, and which columns do not count in it. */
  sealed: boolean
  unsealed: readonly string[]
  /** How it was called once, and its columns then, by today's: records of those days seal rows under these names. */
  was?: Was
}
export interface Was {
  name: string
  /** Old name to new. */
  columns: Readonly<Record<string, string>>
}
/** One declaration a table; select, insert and update types derive from it. Every table has an `id`. */
export const tableSpec = <C extends Columns, const K extends keyof C & string = never>(
  name: string,
  columns: C,
  changes: readonly K[] = [],
): TableSpec<C, K> => ({ name, columns, voidable: false, changes, sealed: true, unsealed: [] })
/** Rows that a later record may void: they stay in the table and out of every answer. */
export const voidableSpec = <C extends Columns, const K extends keyof C & string = never>(
  name: string,
  columns: C,
  changes: readonly K[] = [],
): TableSpec<C, K> => ({ ...tableSpec(name, columns, changes), voidable: true })
/** A table of a running server, or the book itself: no record seals it. */
export const outsideBook = <S extends TableSpec<Columns>>(spec: S): S => ({ ...spec, sealed: false })

/** A table that had another name, and the columns it had by then, old name to new. */
export const formerly = <S extends TableSpec<Columns>>(spec: S, name: string, columns: Was['columns']): S => ({
  ...spec,
  was: { name, columns: { id: 'id', ...columns } },
})

/** A column's name in the database: snake_case, instants without their `Ms`. */
export const snake = (name: string): string => name.replace(/Ms$/, '').replace(/[A-Z]/g, ch => `_${ch.toLowerCase()}`)
