/**
 * The order in which a transaction locks rows: table by table in this order, and rows of one table by id. Two
 * transactions that both keep to it wait for each other; two that do not may each hold what the other wants. What is not
 * named here (a smoke, a hold, a piece) is locked under the row that it belongs to.
 */
export const LOCK_ORDER = ['places', 'meat_lots', 'lots', 'ingredient_lots', 'packs', 'shops', 'code_counters', 'book_head'] as const
export type LockedTable = (typeof LOCK_ORDER)[number]

/** Columns that name a row of a locked table. An insert with one keeps that row from being changed: it is a lock too. */
export const LOCKS_BY_COLUMN: Readonly<Record<string, LockedTable>> = {
  placeId: 'places',
  fridgeId: 'places',
  meatLotId: 'meat_lots',
  lotId: 'lots',
  ingredientLotId: 'ingredient_lots',
  mixLotId: 'ingredient_lots',
  packId: 'packs',
}

const RANK: ReadonlyMap<string, number> = new Map(LOCK_ORDER.map((table, i) => [table, i]))

/** A row that was locked behind one that comes after it in the order. */
export interface LockedLate {
  table: string
  id: number
  /** What was locked already, the last in the order. */
  behind: { table: string; id: number }
}
export const lockLateWords = ({ table, id, behind }: LockedLate): string =>
  `${table} ${id} was locked behind ${behind.table} ${behind.id}: the order is ${LOCK_ORDER.join(', ')}, each by id`

/** Where a table tells what it locks, in the course of one transaction. */
export interface LockWatch {
  /** Rows that this transaction made: nobody else can hold them. */
  made: (table: string, ids: readonly number[]) => void
  lock: (table: string, ids: readonly number[]) => void
  /** The rows that new ones belong to, by their columns. */
  lockParents: (rows: readonly object[]) => void
}

/** Follows what one transaction locks, and tells of each row that comes too late. What is held already never does. */
export function watchLocks(tell: (late: LockedLate) => void): LockWatch {
  const held = new Map<string, Set<number>>()
  const of = (table: string): Set<number> => {
    const ids = held.get(table) ?? new Set()
    held.set(table, ids)
    return ids
  }
  let last = { rank: -1, table: '', id: 0 }
  const lock = (table: string, ids: readonly number[]) => {
    const rank = RANK.get(table)
    if (rank === undefined) return
    for (const id of ids.toSorted((a, b) => a - b)) {
      if (of(table).has(id)) continue
      of(table).add(id)
      if (rank < last.rank || (rank === last.rank && id < last.id)) tell({ table, id, behind: { table: last.table, id: last.id } })
      else last = { rank, table, id }
    }
  }
  return {
    lock,
    made: (table, ids) => ids.forEach(id => of(table).add(id)),
    lockParents: (rows) => {
      const named = rows.flatMap(row => Object.entries(row)).flatMap(([column, id]) => {
        const table = LOCKS_BY_COLUMN[column]
        return table && typeof id === 'number' ? [{ table, id }] : []
      })
      for (const table of LOCK_ORDER) lock(table, named.filter(one => one.table === table).map(one => one.id))
    },
  }
}
