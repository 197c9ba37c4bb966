import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { chmodSync, mkdtempSync, rmSync, statfsSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir, userInfo } from 'node:os'
import { join } from 'node:path'
import { afterEach, describe, expect, it } from 'vitest'
import { startApp } from '../../scripts/lib/app-server.mjs'
import { startMariadb } from '../../scripts/lib/mariadb.mjs'
import { whereIs } from '../../scripts/lib/packages.mjs'
import { freePort } from '../../scripts/lib/processes.mjs'
import { prepareDatabase } from '../../server/db/setup/prepare'
import { walkBook } from '../support/book'
import { Client } from '../support/client'
import { setting } from '../support/setting'
import { celsius } from '../support/goods'
import { setUp, SETUP_CODE } from '../support/shop'

type Server = Awaited<ReturnType<typeof startMariadb>>
const undo: (() => unknown)[] = []
afterEach(async () => {
  for (const step of undo.splice(0).toReversed()) await step()
}, 120_000)

const asRoot = (command: string, ...args: string[]) =>
  process.getuid!() === 0 ? execFileSync(command, args) : execFileSync('sudo', ['-n', command, ...args])
const asServerRoot = (server: Server, sql: string) =>
  execFileSync(
    whereIs('mariadb'),
    ['--no-defaults', `--socket=${server.socket}`, `--user=${process.getuid!() === 0 ? 'root' : userInfo().username}`],
    { input: sql },
  )

/** A shop with a server and a folder of its own, open for its owner. */
async function ground({
  megabytes = 0,
  before = (_server: Server): void => {},
  env = (_folder: string): Record<string, string> => ({}),
} = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-ground-'))
  undo.push(() => rmSync(folder, { recursive: true, force: true, maxRetries: 5 }))
  if (megabytes > 0) {
    asRoot('mount', '-t', 'tmpfs', '-o', `size=${megabytes}m,mode=0777`, 'tmpfs', folder)
    undo.push(() => asRoot('umount', '--lazy', folder))
  }
  else chmodSync(folder, 0o755)
  const server = await startMariadb(folder)
  undo.push(() => server.stop())
  before(server)
  await prepareDatabase({ admin: server.adminUrl, app: server.url })
  const app = await startApp({
    entry: setting('TEST_APP_ENTRY'),
    port: await freePort(),
    databaseUrl: server.url,
    sessionSecret: 'z'.repeat(40),
    env: { SETUP_CODE, ...env(folder) },
  })
  undo.push(() => app.stop())
  const owner = new Client(app.address)
  expect(await owner.post('/api/setup', setUp())).toMatchObject({ status: 200 })
  return { folder, server, app, owner }
}

const customer = (name: string) => ({ kind: 'customer', name, contact: null, approval: null, note: null })
const photo = (owner: Client, address: string, mark: number, bytes = 3_000_000) => {
  const content = Buffer.alloc(bytes, mark)
  content.write('ffd8ffe0', 'hex')
  content.writeUInt32LE(mark, 100)
  return fetch(`${address}/api/files?name=wall.jpg`, {
    method: 'POST',
    body: content,
    headers: { origin: address, cookie: owner.cookie },
  })
}

describe('a server whose settings are not ours', () => {
  it.each([
    'NO_BACKSLASH_ESCAPES',
    'ANSI_QUOTES,PIPES_AS_CONCAT',
    '',
    'ORACLE',
    'PAD_CHAR_TO_FULL_LENGTH,NO_ZERO_IN_DATE',
  ])(
    'with sql_mode %j stores every text as it was typed, and no text as a command',
    async (mode) => {
      const { owner, server } = await ground({
        before: started => asServerRoot(started, `SET GLOBAL sql_mode = '${mode}'`),
      })
      const names = [
        'x\\\' OR 1=1 -- ',
        '\\\'); DROP TABLE lots; -- ',
        '"; DELETE FROM parties; #',
        'C:\\new\\table',
        'it\'s ‘fine’ \\',
        '縗\' OR 1',
        '%_\\%',
      ]
      for (const name of names)
        expect(await owner.post('/api/parties', customer(name)), name).toMatchObject({ status: 200 })
      const { rows: parties } = (await owner.get('/api/parties')).body as { rows: { name: string }[] }
      expect(parties.map(party => party.name)).toEqual(expect.arrayContaining(names.map(name => name.trim())))
      expect(await owner.post('/api/parties', customer('n'.repeat(300)))).toMatchObject({ status: 422 })
      expect(await walkBook(server.adminUrl)).toMatchObject({ broken: null, records: 1 + names.length })
    },
    120_000,
  )
})

it('a server that hangs is told of within 20 s, and the same record is taken when it moves again', async () => {
  const { owner, server } = await ground()
  const key = { 'idempotency-key': '3c1ab2f0-6a55-4c1e-9d7e-2b63f5b0a111' }
  const write = () => owner.post('/api/fridges/1/readings', { temperature: celsius('3') }, key)
  process.kill(server.pid!, 'SIGSTOP')
  undo.push(() => process.kill(server.pid!, 'SIGCONT'))
  const startedMs = Date.now()
  const [written, read] = await Promise.all([write(), owner.get('/api/floor')])
  expect(Date.now() - startedMs).toBeLessThan(20_000)
  expect(written).toMatchObject({ status: 503, body: { code: 'database_lost' } })
  expect(read.status).toBe(503)
  process.kill(server.pid!, 'SIGCONT')
  await expect.poll(async () => (await write()).status, { timeout: 30_000, interval: 1000 }).toBe(200)
  expect(await walkBook(server.adminUrl)).toMatchObject({ broken: null, records: 2 })
}, 120_000)

it('a disk that is full to the last byte refuses records in words, keeps nothing by half, '
  + 'and takes the same again once there is room', async () => {
  const { folder, server, owner } = await ground({ megabytes: 330 })
  const { bavail, bsize } = statfsSync(folder)
  const ballast = join(folder, 'ballast')
  writeFileSync(ballast, Buffer.alloc(bavail * bsize))
  expect(statfsSync(folder).bavail).toBe(0)
  let refused: { name: string; key: Record<string, string> } | null = null
  let recorded = 1
  for (let i = 0; i < 2000 && refused === null; i++) {
    const [name, key] = [`${i} ${'smoke '.repeat(12)}`, { 'idempotency-key': randomUUID() }]
    const { status, body } = await owner.post('/api/parties', customer(name), key)
    if (status === 200) recorded += 1
    else refused = { name, key }
    if (status !== 200) expect({ status, code: body.code }).toEqual({ status: 507, code: 'disk_full' })
  }
  expect(refused, `${recorded} records and room for more`).not.toBeNull()
  truncateSync(ballast, 0)
  expect(await owner.post('/api/parties', customer(refused!.name), refused!.key)).toMatchObject({ status: 200 })
  expect(await walkBook(server.adminUrl)).toMatchObject({ broken: null, records: recorded + 1 })
}, 120_000)

it('under 1 GB of room no photo is taken, the pages say how much is left, and records still go in', async () => {
  const { app, owner } = await ground({ megabytes: 330, env: folder => ({ DATA_FOLDER: folder }) })
  const refused = await photo(owner, app.address, 1, 5000)
  expect(refused.status).toBe(507)
  expect(await refused.json()).toMatchObject({ code: 'disk_low' })
  expect((await owner.get('/api/floor')).body.freeBytes).toBeLessThan(330_000_000)
  expect(await owner.post('/api/fridges/1/readings', { temperature: celsius('3') })).toMatchObject({ status: 200 })
}, 120_000)

it('a server whose binary log repeats statements is refused in words; by row it is taken', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-ground-'))
  undo.push(() => rmSync(folder, { recursive: true, force: true, maxRetries: 5 }))
  chmodSync(folder, 0o755)
  const logging = (format: string) =>
    startMariadb(folder, { durable: false, more: ['--log-bin', `--binlog-format=${format}`, '--log-bin-trust-function-creators=1'] })
  const byStatement = await logging('STATEMENT')
  await expect(prepareDatabase({ admin: byStatement.adminUrl, app: byStatement.url })).rejects.toThrow(
    /keeps a binary log by statement.*set binlog_format = ROW in its settings and restart it/,
  )
  await byStatement.stop()
  const byRow = await logging('ROW')
  undo.push(() => byRow.stop())
  await prepareDatabase({ admin: byRow.adminUrl, app: byRow.url })
  expect(await walkBook(byRow.adminUrl)).toMatchObject({ records: 0, broken: null })
})
