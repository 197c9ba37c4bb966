import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openStore, SPECS, type Store } from '../../server/db/database'
import { idStretches } from '../../server/db/line/id-stretches'
import { digestSql } from '../../server/db/table/row-digests'
import type { Table } from '../../server/db/table/table'
import type { TableSpec, Columns } from '../../server/db/schema/table-spec'
import { since } from '../../server/db/schema/where'
import { loadDemo } from '../../server/demo/load-demo'
import { LOCK_ORDER, LOCKS_BY_COLUMN } from '../../server/db/table/lock-order'
import { snake } from '../../server/db/schema/table-spec'
import { freshDatabase, type FreshDatabase } from '../support/database'
import { memoryStore } from '../support/memory/memory-store'
import { UNIQUE_KEYS } from '../support/memory/unique-keys'
import { digestOf, type Row } from '../support/memory/values'
import { tableSuite } from '../support/table-suite'

type AnyTable = Table<TableSpec<Columns>>
let database: FreshDatabase
let store: Store
const NAMES = Object.keys(SPECS) as (keyof typeof SPECS)[]
const table = (name: keyof typeof SPECS) => store.tables[name] as unknown as AnyTable
/** A change as services make it: inside a transaction. */
const change = <T>(name: keyof typeof SPECS, work: (bound: AnyTable) => Promise<T>): Promise<T> =>
  store.transaction(tables => work(tables[name] as unknown as AnyTable))
const columnsOf = (name: keyof typeof SPECS) => Object.keys(SPECS[name].columns)
/** The same question asked through Sequelize's model. */
const viaModel = async (name: keyof typeof SPECS, where: object): Promise<number[]> =>
  (
    await store.sequelize.models[SPECS[name].name]!.findAll({
      where: where as never,
      raw: true,
      order: [['id', 'ASC']],
    })
  ).map(row => Number((row as unknown as { id: unknown }).id))
const ids = (rows: readonly { id: number }[]) => rows.map(row => row.id)
const inOrder = { order: [['id', 'ASC']], withVoided: true } as const

beforeAll(async () => {
  database = await freshDatabase()
  // As the owner: the application's own user may not change the book, not even to what it says already.
  store = openStore(database.adminUrl)
  await loadDemo(store, Date.UTC(2026, 5, 17, 16))
})
afterAll(async () => {
  await store.close()
  await database.drop()
})

describe('the tables in MariaDB', () => {
  tableSuite(async () => {
    const own = await freshDatabase()
    const opened = openStore(own.adminUrl)
    return { store: opened, close: () => opened.close().then(own.drop) }
  })
})

describe('the twin in memory', () => {
  /** Salted anew each time, and with them what seals them. */
  const SALTED = new Set(['passwordHash', 'pinHash', 'hash', 'touched'])
  /** The schema's age, too, is another: the first record is behind it by months. */
  const plain = (rows: readonly object[]) =>
    rows.map(row =>
      Object.fromEntries(
        Object.entries(row)
          .filter(([key]) => !SALTED.has(key))
          .map(([key, value]) => [key, key === 'clockBehindMs' ? value !== null : value]),
      ),
    )
  const DEMO_AT = Date.UTC(2026, 5, 17, 16)

  it('holds after the same demo the same rows, in every table', async () => {
    const twin = memoryStore()
    await loadDemo(twin, DEMO_AT)
    for (const name of NAMES) {
      const theirs = await (twin.tables[name] as unknown as AnyTable).find({}, inOrder)
      expect(plain(theirs), name).toEqual(plain(await table(name).find({}, inOrder)))
    }
    const lotIds = (await twin.tables.lots.pick([])).map(row => row.id)
    const runIds = (await twin.tables.runs.pick([])).map(row => row.id)
    const sorted = (rows: readonly object[]) => rows.map(row => JSON.stringify(row)).toSorted()
    const [ours, theirs] = [store.tables.thread, twin.tables.thread]
    expect(sorted(await theirs.meatOf(lotIds))).toEqual(sorted(await ours.meatOf(lotIds)))
    expect(sorted(await theirs.runsOf(lotIds))).toEqual(sorted(await ours.runsOf(lotIds)))
    expect(sorted(await theirs.lotsOfRuns(runIds))).toEqual(sorted(await ours.lotsOfRuns(runIds)))
    expect(sorted(await theirs.bundlesOf(lotIds))).toEqual(sorted(await ours.bundlesOf(lotIds)))
    const totals = async (reader: typeof ours) => Object.values(await reader.packTotalsOf(lotIds)).map(sorted)
    expect(await totals(theirs)).toEqual(await totals(ours))
    const runs = await twin.tables.runs.pick(['readingsVersion'], {})
    expect(await twin.tables.heatRows(runs)).toEqual(await store.tables.heatRows(runs))
  })
  it('works out for each row the digest that the database works out', async () => {
    for (const spec of Object.values(SPECS) as unknown as TableSpec<Columns>[]) {
      if (!spec.sealed) continue
      const rows = await database.sql<{ id: number; digest: string; voided?: number }>(
        `SELECT id, ${spec.voidable ? 'voided, ' : ''}${digestSql(spec)} AS digest FROM ${spec.name} ORDER BY id`,
      )
      const name = NAMES.find(one => SPECS[one].name === spec.name)!
      const plainRows = new Map((await table(name).find({}, inOrder)).map(row => [row.id, row]))
      for (const { id, digest, voided } of rows)
        expect(digestOf(spec, { ...plainRows.get(id)!, voided: voided ?? 0 } as Row), `${spec.name} ${id}`).toBe(digest)
    }
  })
  it('knows the schema\'s unique keys', async () => {
    const keys = await database.sql<{ name: string; key: string; columns: string }>(
      `SELECT table_name AS name, index_name AS \`key\`, GROUP_CONCAT(column_name ORDER BY seq_in_index) AS columns
       FROM information_schema.statistics WHERE table_schema = DATABASE() AND non_unique = 0
       AND index_name <> 'PRIMARY' AND table_name <> 'migrations' GROUP BY table_name, index_name`,
    )
    const known = Object.entries(UNIQUE_KEYS).flatMap(([name, of]) =>
      Object.entries(of).map(([key, columns]) => `${name} ${key} ${columns.map(snake).join(',')}`),
    )
    expect(keys.map(row => `${row.name} ${row.key} ${row.columns}`).toSorted()).toEqual(known.toSorted())
  })
})

it('what a new row locks of the tables it belongs to, the lock order knows', async () => {
  const keys = await database.sql<{ col: string; parent: string }>(
    `SELECT DISTINCT column_name AS col, referenced_table_name AS parent FROM information_schema.key_column_usage
     WHERE table_schema = DATABASE() AND referenced_table_name IN (${LOCK_ORDER.map(name => `'${name}'`).join(', ')})`,
  )
  const known = Object.entries(LOCKS_BY_COLUMN).map(([column, parent]) => `${snake(column)} ${parent}`)
  expect(keys.length).toBeGreaterThan(4)
  expect(keys.map(row => `${row.col} ${row.parent}`).filter(key => !known.includes(key))).toEqual([])
})

it('a stretch of the book holds no more than it may of what its records seal', async () => {
  const sealed = '(SELECT LENGTH(touched) FROM event_rows WHERE event_id = events.id)'
  const rows = await database.sql<{ id: number; bytes: number }>(
    `SELECT id, COALESCE(${sealed}, 0) AS bytes FROM events ORDER BY id`,
  )
  const mostBytes = 600
  const seen: number[] = []
  for await (const [first, last] of idStretches(store.sequelize, 'events', {
    weigh: [],
    alongside: sealed,
    mostRows: 8000,
    mostBytes,
  })) {
    const inside = rows.filter(row => row.id >= first && row.id <= last)
    const bytes = inside.reduce((sum, row) => sum + Number(row.bytes), 0)
    expect(inside.length === 1 || bytes <= mostBytes, `${first} to ${last}: ${bytes} bytes`).toBe(true)
    seen.push(...inside.map(row => row.id))
  }
  expect(seen).toEqual(rows.map(row => row.id))
})

describe('a table finds what Sequelize finds', () => {
  it.each(NAMES)('%s, by each of its columns', async (name) => {
    const rows = await table(name).find({}, inOrder)
    expect(ids(rows)).toEqual(await viaModel(name, {}))
    for (const column of columnsOf(name)) {
      const value = (rows[0] as Record<string, unknown> | undefined)?.[column]
      // Instants are asked for by comparison, documents and files never.
      if (value === undefined || column.endsWith('Ms') || (typeof value === 'object' && value !== null)) continue
      for (const filter of [{ [column]: value }, { [column]: [value] }, { [column]: value, id: [rows[0]!.id, -1] }]) {
        expect(ids(await table(name).find(filter, inOrder)), JSON.stringify(filter)).toEqual(
          await viaModel(name, filter),
        )
      }
    }
  })
  it('from a moment on, without anything, one of none, and a page of many', async () => {
    const events = await table('events').find({}, inOrder)
    const [from] = [events[100]!.atMs as number]
    expect(ids(await table('events').find({ atMs: since(from) }, inOrder))).toEqual(
      ids(events.filter(event => (event.atMs as number) >= from)),
    )
    expect(ids(await table('events').find({ reason: null }, inOrder))).toEqual(
      ids(events.filter(event => event.reason === null)),
    )
    expect(await table('events').find({ id: [] })).toEqual([])
    expect(ids(await table('events').find({}, { order: [['id', 'DESC']], limit: 3, offset: 2 }))).toEqual(
      ids(events).reverse().slice(2, 5),
    )
    expect(await table('events').one({ id: -1 })).toBeNull()
  })
  it('leaves voided rows out unless they are asked for', async () => {
    const steps = await table('steps').find({}, inOrder)
    const alive = new Set(ids(await table('steps').find()))
    expect(alive.size).toBeLessThan(steps.length)
    const [one] = [steps.find(step => alive.has(step.id))!]
    await change('steps', told => told.setVoid([one.id]))
    expect(await table('steps').one({ id: one.id })).toBeNull()
    expect(await table('steps').one({ id: one.id }, { withVoided: true })).toEqual(one)
  })
})

describe('a table keeps what it is given', () => {
  it.each(NAMES)('%s: every row set to itself stays what it was', async (name) => {
    const rows = await table(name).find({}, { ...inOrder, limit: 40 })
    for (const { id, ...rest } of rows) {
      await change(name, bound => bound.update(id, rest as never))
      expect(await table(name).one({ id }, { withVoided: true })).toEqual({ id, ...rest })
    }
  })
  it('quotes, backslashes and signs that mean something to SQL are text', async () => {
    for (const evil of [
      'it\'s',
      '"',
      '\\',
      '\\\'; DROP TABLE parties; --',
      '?',
      ':id',
      '$1',
      '%_',
      'ключ 🥓',
      '\u0000',
    ]) {
      const id = await change('parties', parties =>
        parties.insert({ kind: 'customer', name: evil, contact: evil, approval: null, note: null } as never),
      )
      expect(await table('parties').one({ name: evil, kind: 'customer' })).toMatchObject({ id, contact: evil })
      await change('parties', parties => parties.update(id, { note: evil, name: `${evil} ${id}` } as never))
      expect(await table('parties').one({ id })).toMatchObject({ note: evil, name: `${evil} ${id}` })
    }
  })
})

it('what a record must seal is not changed outside a transaction', async () => {
  await expect(table('parties').update(1, { note: 'by the way' } as never)).rejects.toThrow('changed by records alone')
  await expect(table('lots').setVoid([1])).rejects.toThrow('changed by records alone')
})

describe('a question that is not one is refused, not widened', () => {
  it.each([
    ['a column that is not there', { colour: 'red' }, 'no column colour'],
    ['a value that is missing', { id: undefined }, 'undefined'],
    ['a filter that joins others', { [Symbol('or')]: [{ id: 1 }] }, 'column by column'],
  ])('%s', async (_name, filter, words) => {
    await expect(table('parties').find(filter)).rejects.toThrow(words)
  })
  it('a change of a column that is not there; one of nothing does nothing', async () => {
    await expect(change('parties', parties => parties.update(1, { colour: 'red' } as never))).rejects.toThrow(
      'no column colour',
    )
    const before = await table('parties').one({ id: 1 })
    await change('parties', parties => parties.update(1, { note: undefined } as never))
    expect(await table('parties').one({ id: 1 })).toEqual(before)
  })
})
