import { packReadings, type SmokeReading } from '#core/readings/packed-readings'
import { CHAIN_START } from '#core/book/walk-chain'
import { refuseLate, SPECS, SPECS_BY_NAME, type Store, type Tables } from '../../../server/db/database'
import type { Columns, TableSpec } from '../../../server/db/schema/table-spec'
import { memoryBook } from './memory-book'
import { memoryTable, type Rows } from './memory-table'
import { memoryThread } from './memory-thread'
import { inOrder } from './matches'
import type { Row } from './values'

type State = Map<string, Map<number, Row>>
/** The first rows that the schema comes with. */
const COUNTERS = ['meat', 'ingredient', 'lot', 'run', 'pack', 'delivery', 'recipe', 'card', 'place']

/** Rows of one table, copied when they are first changed. */
function rowsOf(state: State, base: State | null, counters: Map<string, number>, name: string): Rows {
  return {
    all: () => state.get(name)!,
    mine: () => {
      // A table that still is everyone's is copied before it is changed.
      if (base?.get(name) === state.get(name)) state.set(name, new Map(state.get(name)))
      return state.get(name)!
    },
    nextId: (given) => {
      const last = counters.get(name) ?? 0
      const id = given ?? last + 1
      counters.set(name, Math.max(last, id))
      return id
    },
  }
}

function bind(state: State, base: State | null, counters: Map<string, number>, nowMs: () => number, alone = false): Tables {
  const table = (name: string) => rowsOf(state, base, counters, name)
  const locks = base && !alone ? refuseLate() : undefined
  const book = memoryBook(SPECS_BY_NAME, table, base !== null, nowMs)
  const tables = Object.fromEntries(
    Object.entries(SPECS).map(([key, spec]) => [
      key,
      memoryTable(spec as unknown as TableSpec<Columns>, table(spec.name), base ? book.touch : undefined, locks),
    ]),
  ) as unknown as Tables
  return {
    ...tables,
    // The trigger of the book's head: it follows each record.
    events: {
      ...tables.events,
      insertMany: (rows) => {
        const written = tables.events.insertMany(rows)
        // Not after a wait: what is asked behind the insert sees the head moved.
        const { id, hash, atMs } = rows.at(-1)!
        table('book_head').mine().set(1, { id: 1, voided: 0, lastId: id!, hash, lastAtMs: atMs })
        return written
      },
    },
    book,
    thread: memoryThread(table),
    heatRows: async runs =>
      new Map(
        runs.map(({ id }) => {
          const read = [...table('run_readings').all().values()].filter(row => row.runId === id && row.voided === 0)
          return [id, packReadings(inOrder(read, [['atMs', 'ASC']]) as unknown as SmokeReading[])]
        }),
      ),
  }
}

/** All that a shop holds at one moment, for others to go on from. */
export interface Kept {
  readonly state: ReadonlyMap<string, ReadonlyMap<number, Row>>
  readonly counters: ReadonlyMap<string, number>
}
export interface MemoryStore extends Store {
  keep: () => Kept
}

function begun(nowMs: number): Kept {
  const state: State = new Map([...SPECS_BY_NAME.keys()].map(name => [name, new Map<number, Row>()]))
  state.get('book_head')!.set(1, { id: 1, voided: 0, lastId: 0, hash: CHAIN_START.hash, lastAtMs: nowMs })
  COUNTERS.forEach((kind, i) => state.get('code_counters')!.set(i + 1, { id: i + 1, voided: 0, kind, last: 0 }))
  return { state, counters: new Map() }
}

/**
 * A shop's tables in memory, for services in milliseconds: one transaction after the other, each whole or not at all.
 * No SQL and no foreign keys; what it shares with the real ones, `tests/support/table-suite.ts` holds against both.
 */
export function memoryStore(nowMs: () => number = Date.now, from: Kept = begun(nowMs())): MemoryStore {
  // Rows are frozen: a shop that goes on from what was kept needs maps of its own alone.
  let state: State = new Map([...from.state].map(([name, rows]) => [name, new Map(rows)]))
  const counters = new Map(from.counters)
  let turn: Promise<unknown> = Promise.resolve()
  const noSql = (): never => {
    throw new Error('the tables in memory know no SQL')
  }
  let bound = { to: state, tables: bind(state, null, counters, nowMs) }
  return {
    // One object for all time, as a store's is: it looks at whatever was written last.
    tables: new Proxy({} as Tables, {
      get: (_none, key) => {
        if (bound.to !== state) bound = { to: state, tables: bind(state, null, counters, nowMs) }
        return Reflect.get(bound.tables, key) as unknown
      },
    }),
    door: noSql,
    transaction: (work, { alone } = {}) => {
      const mine = turn.then(async () => {
        const [base, own] = [state, new Map(state)]
        const value = await work(bind(own, base, counters, nowMs, alone))
        state = own
        return value
      })
      turn = mine.catch(() => {})
      return mine
    },
    get sequelize() {
      return noSql()
    },
    get slow() {
      return noSql()
    },
    close: () => Promise.resolve(),
    keep: () => ({ state: new Map([...state].map(([name, rows]) => [name, new Map(rows)])), counters: new Map(counters) }),
  }
}
