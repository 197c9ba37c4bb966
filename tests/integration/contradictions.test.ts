import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp } from '../../scripts/lib/app-server.mjs'
import { freePort } from '../../scripts/lib/processes.mjs'
import { prepareDatabase } from '../../server/db/setup/prepare'
import { walkBook } from '../support/book'
import { Client } from '../support/client'
import { freshDatabase, type FreshDatabase } from '../support/database'
import { setting } from '../support/setting'
import { databaseFrom } from '../support/dump'
import { must } from '../support/must'
import { move, press } from '../support/races/room'
import { runScript } from '../support/script'
import { OWNER } from '../support/shop'

/**
 * A shop of 0.5.0 in which two tablets pressed at the same moment and both were believed: pieces thrown away and moved,
 * moved to two places, in two heats, sliced after their end of cure was voided.
 */
let database: FreshDatabase
let other: FreshDatabase
let app: Awaited<ReturnType<typeof startApp>>
let owner: Client
let folder: string

const on = (one: FreshDatabase) => ({ DATABASE_URL: one.url, DATABASE_ADMIN_URL: one.adminUrl })
const lotOf = async (code: string) => must(owner.get(`/api/lots/${code}`))
/** Lots whose steps contradict each other, with what the page says of the first two. */
const contradicting = async () => (await walkBook(database.adminUrl)).contradicting

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'veldmoor-contradictions-'))
  database = await databaseFrom('shop-0.5.0-raced.sql.gz')
  await prepareDatabase({ admin: database.adminUrl, app: database.url })
  app = await startApp({
    entry: setting('TEST_APP_ENTRY'),
    port: await freePort(),
    databaseUrl: database.url,
    sessionSecret: 'x'.repeat(40),
    env: { LOCKS_CHECKED: '1' },
  })
  owner = new Client(app.address)
  await must(owner.post('/api/session', OWNER))
})
afterAll(async () => {
  await app.stop()
  await Promise.all([database.drop(), other.drop()])
  rmSync(folder, { recursive: true, force: true })
})

describe('a shop whose steps contradict each other', () => {
  it('says so by lot: on the floor, on the lot\'s page, in the walk', async () => {
    const codes = await contradicting()
    expect(codes.length).toBeGreaterThan(3)
    const { lots } = await must(owner.get('/api/floor'))
    const said = lots.filter((lot: { contradictions: number }) => lot.contradictions > 0).map((lot: { code: string }) => lot.code)
    expect(said.length).toBeGreaterThan(3)
    for (const code of said) expect(codes).toContain(code)
    for (const code of codes) {
      const [first] = (await lotOf(code)).contradicts
      expect(first, code).toMatchObject({ second: { kind: expect.any(String), eventId: expect.any(Number) } })
    }
    expect((await must(owner.get('/api/book/check'))).contradicting).toEqual(codes)
  })
  it('refuses in such a lot what would contradict itself anew, and takes what fits', async () => {
    const codes = await contradicting()
    for (const code of codes) {
      const { pieces, rubbedAtMs } = await lotOf(code)
      const ids = pieces.map((piece: { id: number }) => piece.id)
      const look = { kind: 'look', feel: 'raw', note: null }
      const early = { when: { told: 'at', atMs: rubbedAtMs - 86_400_000, said: null }, lateReason: 'wrote it down then' }
      expect(await owner.post('/api/steps', press(code, ids, look, early)), code).toMatchObject({
        status: 409,
        body: { code: 'step_contradicts', detail: expect.stringContaining('was not rubbed yet') },
      })
    }
    const thrown = await Promise.all(codes.map(async code => ({ code, first: (await lotOf(code)).contradicts[0] })))
    const { code, first } = thrown.find(one => one.first.why === 'taken')!
    const gone = (await lotOf(code)).pieces.filter((piece: { label: string }) => first.pieces.includes(piece.label))
    const again = press(code, gone.map((piece: { id: number }) => piece.id), move(1), { again: true })
    expect(await owner.post('/api/steps', again)).toMatchObject({ status: 409, body: { code: 'step_contradicts' } })
    expect(await owner.post('/api/steps', press(code, null, { kind: 'turn', how: 'turned', face: null }))).toMatchObject({ status: 200 })
  })
  it('is mended on the lot\'s page by voiding one of the two', async () => {
    const found = await Promise.all((await contradicting()).map(async code => ({ code, all: (await lotOf(code)).contradicts })))
    const { code, all } = found.find(one => one.all[0].why === 'taken' && one.all.length === 1)!
    await must(owner.post(`/api/events/${all[0].second.eventId}/void`, { reason: 'it was thrown away' }))
    expect(await lotOf(code)).toMatchObject({ contradicts: [], contradictions: 0 })
    expect(await contradicting()).not.toContain(code)
  })
  it('leaves as a file, and comes in where that is wanted with what does not stand where its steps bring it', async () => {
    const path = join(folder, 'shop.json')
    // Whatever the race left: one piece more stands where no step brought it.
    await database.sql('UPDATE pieces SET spot = \'nowhere\' WHERE voided = 0 ORDER BY id LIMIT 1')
    expect((await runScript('export', [path], on(database))).output).toContain(path)
    other = await freshDatabase()
    const refused = await runScript('import', [path], on(other))
    expect(refused).toMatchObject({ code: 1, output: expect.stringContaining('--even-broken') })
    expect(await other.sql('SELECT id FROM shops')).toEqual([])
    const taken = await runScript('import', [path, '--even-broken'], on(other))
    expect(taken.output).toContain('with all that is not as the book says')
    expect(taken.code).toBe(1)
    expect((await walkBook(other.adminUrl)).findings.map(finding => finding.why)).toContain('state_differs')
  })
  it('is settled by a command, on record: what counts for nothing is voided, smokes and slicings are left and named', async () => {
    const before = await contradicting()
    const named = await runScript('verify-book', [], on(database))
    for (const code of before) expect(named.output).toContain(code)
    const { output } = await runScript('settle-steps', [], on(database))
    const check = await walkBook(database.adminUrl)
    expect(check).toMatchObject({ broken: null, found: 0 })
    expect(check.contradicting.length).toBeLessThan(before.length)
    for (const code of check.contradicting) {
      expect(output).toContain(`${code}: left as it is: `)
      for (const { second } of (await lotOf(code)).contradicts) expect(['heat', 'slice']).toContain(second.kind)
    }
    const [record] = await database.sql<{ who: string; subjects: string }>(
      'SELECT who, subjects FROM events WHERE kind = \'steps_settled\' ORDER BY id LIMIT 1',
    )
    expect(record).toMatchObject({ who: 'Veldmoor' })
    expect((await lotOf(JSON.parse(record!.subjects)[0])).events.map((event: { kind: string }) => event.kind)).toContain('steps_settled')
    // Twice is once.
    expect((await runScript('settle-steps', [], on(database))).output).toContain('0 set right')
  })
})
