import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openStore, SPECS, type Store } from '../../server/db/database'
import type { Table } from '../../server/db/table'
import type { TableSpec, Columns } from '../../server/db/table-spec'
import { since } from '../../server/db/where'
import { loadDemo } from '../../server/demo/load-demo'
import { freshDatabase, type FreshDatabase } from '../support/database'

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
    const turns = await table('turns').find({}, inOrder)
    const alive = new Set(ids(await table('turns').find()))
    expect(alive.size).toBeLessThan(turns.length)
    const [one] = [turns.find(turn => alive.has(turn.id))!]
    await change('turns', turned => turned.setVoid([one.id]))
    expect(await table('turns').one({ id: one.id })).toBeNull()
    expect(await table('turns').one({ id: one.id }, { withVoided: true })).toEqual(one)
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
