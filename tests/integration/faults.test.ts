import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import net from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import * as mariadb from 'mariadb'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { startApp } from '../../scripts/lib/app-server.mjs'
import { loadFrom } from '../../scripts/lib/dump.mjs'
import { startMariadb } from '../../scripts/lib/mariadb.mjs'
import { freePort, isAlive, until } from '../../scripts/lib/processes.mjs'
import { prepareDatabase } from '../../server/db/setup/prepare'
import { walkBook } from '../support/book'
import { Client } from '../support/client'
import { setting } from '../support/setting'
import { emptyShop } from '../support/database'
import { celsius } from '../support/goods'
import { holding, isAtWork } from '../support/running'
import { OWNER, setUp, SETUP_CODE } from '../support/shop'

const RECORDS = 1000
const CLIENTS = 8
type Server = Awaited<ReturnType<typeof startMariadb>>
type App = Awaited<ReturnType<typeof startApp>>

let folder: string
let database: Server
let app: App
const SECRET = 'y'.repeat(40)

/** A shop on a database server of its own, because it is going to be killed. */
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'veldmoor-faults-'))
  database = await startMariadb(folder)
  await loadFrom(database.adminUrl, (await emptyShop()).dump)
  await prepareDatabase({ admin: database.adminUrl, app: database.url })
  app = await open()
  await new Client(app.address).post('/api/setup', setUp())
}, 120_000)
afterEach(async () => {
  await app.stop()
  await database.stop()
  rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
}, 120_000)

const open = async (port?: number) =>
  startApp({
    entry: setting('TEST_APP_ENTRY'),
    port: port ?? (await freePort()),
    databaseUrl: database.url,
    sessionSecret: SECRET,
    env: { SETUP_CODE },
  })
const signedIn = async (address: string) => {
  const client = new Client(address)
  await client.post('/api/session', OWNER)
  return client
}
const rows = async <T>(sql: string): Promise<T[]> => {
  const url = new URL(database.adminUrl)
  const admin = await mariadb.createConnection({
    host: url.hostname,
    port: Number(url.port),
    user: url.username,
    password: url.password,
    database: url.pathname.slice(1),
    bigIntAsNumber: true,
  })
  try {
    return await admin.query(sql)
  }
  finally {
    await admin.end()
  }
}
const sleep = (ms: number) => new Promise(done => setTimeout(done, ms))

/**
 * Eight clients share out the records, each sending one until it is acknowledged, under one key however often. `strike`
 * happens once, a third of the way.
 */
async function pour(strike: () => Promise<void>): Promise<Map<string, number>> {
  const acknowledged = new Map<string, number>()
  let next = 0
  let struck: Promise<void> | null = null
  const client = await signedIn(app.address)
  const one = async (i: number) => {
    while (next < RECORDS) {
      const mark = `${2 + (next % 300) / 100}`
      next += 1
      if (next === Math.round(RECORDS / 3)) struck = strike()
      const key = randomUUID()
      for (;;) {
        const reply = await client
          .post('/api/fridges/1/readings', { temperature: celsius(mark) }, { 'idempotency-key': key })
          .catch(() => null)
        if (reply?.status === 200) {
          acknowledged.set(key, reply.body.eventId)
          break
        }
        // Only what a lost server or database says is tried again.
        if (reply) expect([500, 503], JSON.stringify(reply.body)).toContain(reply.status)
        await sleep(40 + i * 5)
      }
    }
  }
  await Promise.all(Array.from({ length: CLIENTS }, (_, i) => one(i)))
  await struck
  return acknowledged
}

/** Every acknowledged record is there once, with its reading, its event and its answer; nothing is there by half. */
async function expectWhole(acknowledged: Map<string, number>): Promise<void> {
  expect(acknowledged.size).toBe(RECORDS)
  const events = await rows<{ id: number; computed: string }>(
    'SELECT id, computed FROM events WHERE kind = \'place_read\'',
  )
  const ids = new Set(events.map(event => event.id))
  expect(events).toHaveLength(RECORDS)
  expect(new Set(acknowledged.values()).size).toBe(RECORDS)
  expect([...acknowledged.values()].filter(id => !ids.has(id))).toEqual([])
  const readings = new Set((await rows<{ id: number }>('SELECT id FROM place_readings')).map(row => row.id))
  expect(readings.size).toBe(RECORDS)
  expect(events.filter(event => !readings.has(JSON.parse(event.computed).readingId))).toEqual([])
  const answers = await rows<{ client_key: string; answer: unknown }>('SELECT client_key, answer FROM answers')
  expect(answers.filter(row => row.answer === null)).toEqual([])
  expect([...acknowledged.keys()].filter(key => !answers.some(row => row.client_key === key))).toEqual([])
  expect(await walkBook(database.adminUrl)).toMatchObject({ broken: null, records: RECORDS + 1 })
}

describe('a thousand records by eight clients', () => {
  it('survive the application being killed', async () => {
    const port = Number(new URL(app.address).port)
    const acknowledged = await pour(async () => {
      const { pid } = app
      process.kill(pid!, 'SIGKILL')
      await until(() => !isAlive(pid), 10_000)
      app = await open(port)
    })
    await expectWhole(acknowledged)
  }, 240_000)
  it('survive MariaDB being killed', async () => {
    const acknowledged = await pour(async () => {
      const { pid } = database
      process.kill(pid!, 'SIGKILL')
      await until(() => !isAlive(pid), 10_000)
      database = await startMariadb(folder, { port: database.port })
    })
    await expectWhole(acknowledged)
  }, 240_000)
  it('make one unbroken chain when two processes write at once', async () => {
    const other = await open()
    const clients = await Promise.all([app.address, other.address].map(signedIn))
    try {
      const perClient = 120
      const replies = await Promise.all(
        Array.from({ length: CLIENTS }, async (_, i) => {
          const done = []
          for (let n = 0; n < perClient; n++)
            done.push(await clients[i % 2]!.post('/api/fridges/1/readings', { temperature: celsius('3') }))
          return done
        }),
      )
      expect(replies.flat().filter(reply => reply.status !== 200)).toEqual([])
      expect(await walkBook(database.adminUrl)).toMatchObject({ broken: null, records: CLIENTS * perClient + 1 })
    }
    finally {
      await other.stop()
    }
  }, 240_000)
})

describe('when the database is away', () => {
  it('says so at once, in words, and takes the same record when it is back', async () => {
    const client = await signedIn(app.address)
    const key = { 'idempotency-key': randomUUID() }
    await database.stop()
    const reply = await client.post('/api/fridges/1/readings', { temperature: celsius('3') }, key)
    expect(reply).toMatchObject({
      status: 503,
      body: { code: 'database_lost', detail: expect.stringContaining('What you typed is still here') },
    })
    database = await startMariadb(folder, { port: database.port })
    expect(await client.post('/api/fridges/1/readings', { temperature: celsius('3') }, key)).toMatchObject({
      status: 200,
    })
    expect(await rows('SELECT id FROM place_readings')).toHaveLength(1)
  }, 120_000)
  it('a disk without room refuses the record, says so, leaves nothing by half, and takes it once there is room', async () => {
    const client = await signedIn(app.address)
    const key = { 'idempotency-key': randomUUID() }
    // What InnoDB answers when a table cannot grow, at the last insert of the transaction.
    await rows(
      'CREATE TRIGGER no_room BEFORE INSERT ON event_subjects FOR EACH ROW SIGNAL SQLSTATE \'HY000\' SET '
      + 'MYSQL_ERRNO = 1114, MESSAGE_TEXT = \'The table is full\'',
    )
    const party = { kind: 'customer', name: 'Corner', contact: null, approval: null, note: null }
    const salt = {
      kind: 'salt',
      name: 'salt',
      supplier: 'Dry Goods',
      supplierLot: '1',
      amount: '5 kg',
      bestBefore: null,
      certificate: null,
    }
    expect(await client.post('/api/ingredients', salt, key)).toMatchObject({
      status: 507,
      body: { code: 'disk_full', detail: expect.stringContaining('What you typed is still here') },
    })
    for (const table of ['ingredient_lots', 'answers', 'parties'])
      expect(await rows(`SELECT id FROM ${table}`), table).toEqual([])
    expect(await walkBook(database.adminUrl)).toMatchObject({ broken: null, records: 1 })
    await rows('DROP TRIGGER no_room')
    expect(await client.post('/api/ingredients', salt, key)).toMatchObject({ status: 200 })
    expect(await client.post('/api/parties', party)).toMatchObject({ status: 200 })
    expect(await walkBook(database.adminUrl)).toMatchObject({ broken: null, records: 3 })
  }, 120_000)
})

it('a line that drops between the record and its answer leaves one record, whatever is sent again', async () => {
  const client = await signedIn(app.address)
  const { hostname, port } = new URL(app.address)
  const body = JSON.stringify({ temperature: celsius('3') })
  const key = randomUUID()
  // The request goes out whole, and the line is cut while its record waits for the head of the book.
  const cut = holding(database.adminUrl, 'SELECT * FROM book_head FOR UPDATE', async () => {
    const socket = net.connect(Number(port), hostname, () => {
      socket.write(
        `POST /api/fridges/1/readings HTTP/1.1\r\nHost: ${hostname}:${port}\r\nOrigin: ${app.address}\r\nCookie: `
        + `${client.cookie}\r\nIdempotency-Key: ${key}\r\nContent-Type: application/json\r\nContent-Length: `
        + `${body.length}\r\n\r\n${body}`,
      )
    })
    expect(await isAtWork(database.url, '%book_head%FOR UPDATE')).toBe(true)
    await new Promise(done => socket.destroy().on('close', done))
  })
  await cut
  const recorded = async () => (await rows('SELECT id FROM place_readings')).length === 1
  expect(await until(recorded, 10_000)).toBe(true)
  const replies = await Promise.all(
    [1, 2, 3, 4, 5].map(() =>
      client.post('/api/fridges/1/readings', { temperature: celsius('3') }, { 'idempotency-key': key }),
    ),
  )
  expect(replies.map(reply => reply.status)).toEqual([200, 200, 200, 200, 200])
  expect(new Set(replies.map(reply => reply.body.eventId)).size).toBe(1)
  expect(await rows('SELECT id FROM place_readings')).toHaveLength(1)
}, 60_000)
