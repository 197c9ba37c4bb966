import * as mariadb from 'mariadb'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { guardBook } from '../../server/db/setup/book-guard'
import { connect } from '../../server/db/line/connect'
import { grantRights, mayChangeBook, ONLY_GROWS } from '../../server/db/setup/rights'
import { walkBook } from '../support/book'
import type { Client } from '../support/client'
import { celsius, meat, rub, stock, type Stock } from '../support/goods'
import { isAtWork } from '../support/running'
import { MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let maker: Client
let s: Stock

beforeAll(async () => {
  shop = await openTestShop()
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '60 kg' })
  await maker.post('/api/lots', rub(s))
})
afterAll(() => shop.close())

/** Changes the tables as only their owner could, looks, and puts everything back. */
async function tampered(change: string, undo: string) {
  await shop.sql(change)
  try {
    return await walkBook(shop.adminUrl)
  }
  finally {
    await shop.sql(undo)
  }
}
/** The guard stands again, as at every start. */
async function guarded() {
  const admin = connect(shop.adminUrl, 1)
  await guardBook(admin)
  await admin.close()
}
const last = async () => (await shop.sql<{ id: number }>('SELECT MAX(id) id FROM events'))[0]!.id

describe('the chain in the database', () => {
  it('is unbroken after ordinary work, and each record says who, where, when and by which sums', async () => {
    const check = await walkBook(shop.adminUrl)
    expect(check).toMatchObject({ broken: null, records: await last() })
    const [event] = (await maker.get('/api/events')).body
    expect(event).toMatchObject({
      kind: 'lot_rubbed',
      who: 'maker person',
      station: 'own device',
      zone: 'America/Chicago',
    })
    expect((await shop.sql('SELECT DISTINCT arithmetic FROM events')).length).toBe(1)
  })
  it.each([
    [
      'a typed value',
      'UPDATE events SET typed = REPLACE(typed, \'9.2\', \'8.2\') WHERE kind = \'lot_rubbed\'',
      'UPDATE events SET typed = REPLACE(typed, \'8.2\', \'9.2\') WHERE kind = \'lot_rubbed\'',
      'changed',
      'lot_rubbed',
    ],
    [
      'a time, by a millisecond',
      'UPDATE events SET at = at + INTERVAL 1000 MICROSECOND WHERE id = 5',
      'UPDATE events SET at = at - INTERVAL 1000 MICROSECOND WHERE id = 5',
      'changed',
      5,
    ],
    [
      'the name of who did it',
      'UPDATE events SET who = \'somebody\' WHERE id = 2',
      'UPDATE events SET who = (SELECT name FROM users WHERE id = events.user_id) WHERE id = 2',
      'changed',
      2,
    ],
    [
      'the index under a code',
      'UPDATE event_subjects SET code = \'L-9999\' WHERE event_id = 5',
      'UPDATE event_subjects SET code = (SELECT JSON_VALUE(subjects, \'$[0]\') FROM events WHERE id = 5) WHERE event_id = 5',
      'subjects_differ',
      5,
    ],
    [
      'the head',
      'UPDATE book_head SET last_id = last_id + 1',
      'UPDATE book_head SET last_id = last_id - 1',
      'end_differs',
      null,
    ],
  ])('names the first record that is not what it was: %s', async (_what, change, undo, why, where) => {
    const check = await tampered(change, undo)
    const id
      = typeof where === 'number'
        ? where
        : where === null
          ? (await last()) + 1
          : (await shop.sql<{ id: number }>('SELECT id FROM events WHERE kind = ?', [where]))[0]!.id
    expect(check.broken).toMatchObject({ id, why })
    expect((await walkBook(shop.adminUrl)).broken).toBeNull()
  })
  it('shows two codes of the index made one', async () => {
    const [{ id }] = (await shop.sql<{ id: number }>('SELECT id FROM events WHERE kind = \'lot_rubbed\'')) as [
      { id: number },
    ]
    const index = () => shop.sql<{ code: string }>('SELECT code FROM event_subjects WHERE event_id = ?', [id])
    expect((await index()).map(row => row.code)).toEqual(expect.arrayContaining(['L-0001', 'M-0001']))
    await shop.sql('DELETE FROM event_subjects WHERE event_id = ? AND code = \'M-0001\'', [id])
    const check = await tampered(
      `UPDATE event_subjects SET code = 'L-0001 M-0001' WHERE event_id = ${id} AND code = 'L-0001'`,
      'UPDATE event_subjects SET code = \'L-0001\' WHERE code = \'L-0001 M-0001\'',
    )
    await shop.sql('INSERT INTO event_subjects (event_id, code) VALUES (?, \'M-0001\')', [id])
    expect(check.broken).toEqual({ id, why: 'subjects_differ' })
    expect((await walkBook(shop.adminUrl)).broken).toBeNull()
  })
  it('shows a record taken out of the middle and one cut off the end', async () => {
    await shop.sql('SET foreign_key_checks = 0')
    // The guard lets nothing in but behind the last record: who changes the middle has taken it away first.
    await shop.sql('DROP TRIGGER book_head_moves')
    await shop.sql('CREATE TABLE kept AS SELECT * FROM events')
    const put = (where: string) => `INSERT INTO events SELECT * FROM kept WHERE ${where}`
    expect((await tampered('DELETE FROM events WHERE id = 3', put('id = 3'))).findings).toEqual(
      expect.arrayContaining([{ id: 3, toId: 3, why: 'missing' }]),
    )
    const end = await last()
    expect((await tampered(`DELETE FROM events WHERE id = ${end}`, put(`id = ${end}`))).broken).toEqual({
      id: end,
      why: 'end_differs',
    })
    await shop.sql('DROP TABLE kept')
    await shop.sql('SET foreign_key_checks = 1')
    await guarded()
    expect((await walkBook(shop.adminUrl)).broken).toBeNull()
  })
  it('is checked from the Ledger too', async () => {
    const reply = await maker.get('/api/book/check')
    expect(reply).toMatchObject({ status: 200, body: { broken: null, records: await last(), changeable: false } })
    expect(reply.body.end.hash).toMatch(/^[0-9a-f]{64}$/)
  })
})

it('a record that is thrown back by a deadlock at its last step leaves nothing by half, and goes in once the way is free', async () => {
  const url = new URL(shop.adminUrl)
  const other = await mariadb.createConnection({
    host: url.hostname,
    port: Number(url.port),
    user: url.username,
    password: url.password,
    database: url.pathname.slice(1),
  })
  /** How many the database server has broken up since it was started. */
  const deadlocks = async () =>
    Number((await shop.sql<{ Value: string }>('SHOW GLOBAL STATUS LIKE \'Innodb_deadlocks\''))[0]!.Value)
  await shop.sql('CREATE TABLE heavy (id INT PRIMARY KEY, n INT)')
  await shop.sql(`INSERT INTO heavy VALUES ${Array.from({ length: 500 }, (_, i) => `(${i}, 0)`).join(',')}`)
  const before = await last()
  try {
    // The heavier of two is let through: this one changed 500 rows. It keeps the end of the book, then wants its head.
    await other.query('START TRANSACTION')
    await other.query('UPDATE heavy SET n = 1')
    await other.query('SELECT id FROM events WHERE id > ? FOR UPDATE', [before])
    const seen = await deadlocks()
    const sent = maker.post('/api/fridges/1/readings', { temperature: celsius('3') })
    expect(await isAtWork(shop.databaseUrl, 'INSERT INTO `events`%')).toBe(true)
    await other.query('SELECT * FROM book_head FOR UPDATE')
    await other.query('COMMIT')
    expect(await sent).toMatchObject({ status: 200, body: { eventId: before + 1 } })
    expect(await deadlocks()).toBeGreaterThan(seen)
  }
  finally {
    await other.end()
    await shop.sql('DROP TABLE heavy')
  }
  expect(await walkBook(shop.adminUrl)).toMatchObject({ broken: null, records: before + 1 })
})

describe('the book, page by page', () => {
  const ids = async (query: string) =>
    (await maker.get(`/api/events${query}`)).body.map((event: { id: number }) => event.id)
  it('gives the newest, or what lies before a record', async () => {
    const end = await last()
    expect(await ids('')).toEqual(Array.from({ length: end }, (_, i) => end - i))
    expect(await ids('?before=4')).toEqual([3, 2, 1])
    expect(await ids('?before=1')).toEqual([])
  })
  it.each(['before=abc', 'before=0', 'before=1.5', 'before=1%20OR%201=1', 'colour=red'])(
    'is refused for %s',
    async (query) => {
      expect(await maker.get(`/api/events?${query}`)).toMatchObject({ status: 422, body: { code: 'no_such_page' } })
    },
  )
  it('tells the arithmetic, the second and the zone of each', async () => {
    const [{ arithmetic, zone, atMs }] = (await maker.get('/api/events?before=2')).body
    expect(arithmetic).toBe((await shop.sql<{ a: string }>('SELECT arithmetic a FROM events WHERE id = 1'))[0]!.a)
    expect(zone).toBe('America/Chicago')
    // The shop was opened once, for all files of this run.
    expect(Math.abs(atMs - Date.now())).toBeLessThan(3_600_000)
  })
})

describe('the application\'s database user', () => {
  const asApp = async (sql: string) => {
    const url = new URL(shop.databaseUrl)
    const one = await mariadb.createConnection({
      host: url.hostname,
      port: Number(url.port),
      user: url.username,
      password: url.password,
      database: url.pathname.slice(1),
    })
    try {
      return await one.query(sql).then(
        () => 'done',
        (error: { code: string }) => error.code,
      )
    }
    finally {
      await one.end()
    }
  }
  it.each(
    ONLY_GROWS.flatMap(table => [
      `UPDATE ${table} SET id = id`,
      `DELETE FROM ${table}`,
      `TRUNCATE ${table}`,
      `DROP TABLE ${table}`,
      `REPLACE INTO ${table} SELECT * FROM ${table}`,
    ]),
  )('may not: %s', async (sql) => {
    expect(await asApp(sql)).toBe('ER_TABLEACCESS_DENIED_ERROR')
  })
  it('may not remove a row anywhere, nor change the schema, nor give itself rights', async () => {
    expect(await asApp('DELETE FROM lots')).toBe('ER_TABLEACCESS_DENIED_ERROR')
    expect(await asApp('ALTER TABLE lots ADD x INT')).toBe('ER_TABLEACCESS_DENIED_ERROR')
    expect(await asApp('CREATE TRIGGER t BEFORE INSERT ON events FOR EACH ROW SET NEW.who = 1')).toBe(
      'ER_TABLEACCESS_DENIED_ERROR',
    )
    expect(await asApp('GRANT UPDATE ON events TO CURRENT_USER')).toMatch(/DENIED/)
  })
  it('a right given by hand is seen, told, and taken back at the next start', async () => {
    const [admin, app] = [connect(shop.adminUrl, 1), connect(shop.databaseUrl, 1)]
    try {
      expect(await mayChangeBook(app)).toBe(false)
      await shop.sql('GRANT UPDATE ON events TO \'veldmoor\'@\'127.0.0.1\'')
      expect(await mayChangeBook(app)).toBe(true)
      expect((await maker.get('/api/book/check')).body.changeable).toBe(true)
      await grantRights(admin, app, new URL(shop.adminUrl).pathname.slice(1))
      expect(await mayChangeBook(app)).toBe(false)
    }
    finally {
      await Promise.all([admin.close(), app.close()])
    }
  })
})

it('a clock set back an hour breaks no chain and is told in the book', async () => {
  // The other process lives an hour ago.
  const behind = await shop.another({
    NODE_OPTIONS: '--import data:text/javascript,const%20now=Date.now;Date.now=()=>now()-3600000',
  })
  try {
    const there = Object.assign(shop.client(), { address: behind.address, cookie: maker.cookie })
    expect(await there.post('/api/deliveries', meat())).toMatchObject({ status: 200 })
    expect(await maker.post('/api/deliveries', meat())).toMatchObject({ status: 200 })
    expect((await there.get('/api/floor')).body.store.clockBehindMs).toBeGreaterThan(3_590_000)
    expect((await maker.get('/api/floor')).body.store.clockBehindMs).toBeNull()
    const [here, earlier] = (await maker.get('/api/events')).body
    expect(earlier.clockBehindMs).toBeGreaterThan(3_590_000)
    expect(here.clockBehindMs).toBeNull()
    expect(here.atMs).toBeGreaterThan(earlier.atMs)
    expect((await walkBook(shop.adminUrl)).broken).toBeNull()
  }
  finally {
    await behind.stop()
  }
})

it('two tablets recording the same turn make one turn, and the second is told who did it', async () => {
  const owner = await shop.signedIn(OWNER)
  const { code } = (await maker.post('/api/lots', rub(s))).body
  const replies = await Promise.all([maker, owner].map(client => client.post(`/api/lots/${code}/turns`, {})))
  expect(replies.map(reply => reply.status).sort()).toEqual([200, 409])
  expect(replies.find(reply => reply.status === 409)!.body).toMatchObject({
    code: 'turned_just_now',
    detail: expect.stringMatching(/(maker person|Ada Test) turned L-\d+ just now/),
  })
  const lot = (await maker.get(`/api/lots/${code}`)).body
  expect(lot.turns).toHaveLength(1)
  expect(lot.events.filter((e: { kind: string }) => e.kind === 'step')).toHaveLength(1)
})
