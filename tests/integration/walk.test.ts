import { randomUUID } from 'node:crypto'
import * as mariadb from 'mariadb'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { guardBook } from '../../server/db/setup/book-guard'
import { connect } from '../../server/db/line/connect'
import { prepareDatabase } from '../../server/db/setup/prepare'
import { walkBook } from '../support/book'
import type { Client } from '../support/client'
import { celsius, meat, rub, stock, type Stock } from '../support/goods'
import { runScript } from '../support/script'
import { MAKER, openTestShop, OWNER, type TestShop, today } from '../support/shop'

let shop: TestShop
let maker: Client
let s: Stock
let lot: string

beforeAll(async () => {
  shop = await openTestShop()
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '90 kg' })
  lot = (await maker.post('/api/lots', rub(s))).body.code
  await maker.post(`/api/lots/${lot}/hold`, { text: 'smells odd' })
  for (const typed of ['2.4', '9.1', '3'])
    await maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius(typed) })
})
afterAll(() => shop.close())

const env = () => ({ DATABASE_URL: shop.databaseUrl, DATABASE_ADMIN_URL: shop.adminUrl })
const last = async () => (await shop.sql<{ id: number }>('SELECT MAX(id) id FROM events'))[0]!.id
/** Changes the tables as somebody with the owner's password could, walks, and puts everything back. */
async function tampered(changes: string[], undo: string[]) {
  for (const sql of ['DROP TRIGGER book_head_moves', 'SET foreign_key_checks = 0', ...changes]) await shop.sql(sql)
  try {
    return await walkBook(shop.adminUrl)
  }
  finally {
    for (const sql of [...undo, 'SET foreign_key_checks = 1']) await shop.sql(sql)
    const admin = connect(shop.adminUrl, 1)
    await guardBook(admin)
    await admin.close()
    expect((await walkBook(shop.adminUrl)).findings).toEqual([])
  }
}
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

describe('text that no database gives back as it came', () => {
  it.each([
    ['the reason of a void', '/api/events/2/void', { reason: 'typed \ud83e by mistake' }],
    ['the reason of a hold', () => `/api/lots/${lot}/hold`, { text: 'half \udd53 of it' }],
    ['a name', '/api/parties', { kind: 'customer', name: 'Caf\ud800', contact: null, approval: null, note: null }],
    ['a bench card', '/api/cards', { draft: { note: ['\ud83e'] } }],
  ])('is refused in %s, and the chain holds', async (_what, path, body) => {
    const before = await last()
    const reply = await maker.post(typeof path === 'string' ? path : path(), body)
    expect(reply).toMatchObject({
      status: 422,
      body: { errors: [{ code: 'ill_formed_text' }], detail: expect.stringContaining('Nothing was saved') },
    })
    expect(await last()).toBe(before)
    expect((await walkBook(shop.adminUrl)).broken).toBeNull()
  })
  it('what is stored otherwise than it was sent is not acknowledged, whatever the cause', async () => {
    // A server that folds a letter on its way in, as a wrong character set would.
    await shop.sql(
      'CREATE TRIGGER folds BEFORE INSERT ON events FOR EACH ROW PRECEDES book_head_moves SET NEW.reason = '
      + 'REPLACE(NEW.reason, \'ß\', \'?\')',
    )
    const before = await last()
    expect(await maker.post(`/api/lots/${lot}/hold`, { text: 'Süße Schärfe' })).toMatchObject({
      status: 500,
      body: { code: 'our_fault' },
    })
    await shop.sql('DROP TRIGGER folds')
    expect(await last()).toBe(before)
    expect(await shop.sql('SELECT id FROM holds WHERE note LIKE \'%Sch%\'')).toEqual([])
    expect((await walkBook(shop.adminUrl)).broken).toBeNull()
  })
})

describe('a walk tells all that is not as the book says', () => {
  it('every break, not the first alone', async () => {
    const check = await tampered(
      [
        'CREATE TABLE kept AS SELECT * FROM events',
        'UPDATE events SET who = \'x\' WHERE id IN (2, 6)',
        'DELETE FROM events WHERE id = 4',
        'UPDATE event_subjects SET code = \'L-9999\' WHERE event_id = 7',
      ],
      [
        'DELETE FROM events',
        'INSERT INTO events SELECT * FROM kept',
        'DROP TABLE kept',
        'UPDATE event_subjects SET code = (SELECT JSON_VALUE(subjects, \'$[0]\') FROM events WHERE id = 7) WHERE event_id = 7',
      ],
    )
    expect(check.findings.filter(found => found.why === 'changed').map(found => found.id)).toEqual([2, 6])
    expect(check.findings).toEqual(
      expect.arrayContaining([
        { id: 4, toId: 4, why: 'missing' },
        { id: 7, why: 'subjects_differ' },
      ]),
    )
    expect(check.findings.filter(found => found.why === 'subject_without_record').map(found => found.id)).toEqual(
      (await shop.sql('SELECT id FROM event_subjects WHERE event_id = 4')).length ? [4] : [],
    )
  })
  it('records below the first and past the head', async () => {
    const stray = (id: number) =>
      `INSERT INTO events SELECT ${id}, kind, user_id, at, zone, arithmetic, typed, computed, reason, who, `
      + 'station, subjects, NULL, clock_behind, hash FROM events WHERE id = 2'
    const past = (await last()) + 1
    const check = await tampered([stray(-1), stray(past)], [`DELETE FROM events WHERE id IN (-1, ${past})`])
    expect(check.findings).toEqual([
      { id: -1, why: 'out_of_book' },
      { id: past, why: 'out_of_book' },
    ])
    expect(check.records).toBe(past + 1)
  })
  it('a head that was set back', async () => {
    const [{ last_id: end, hash }] = (await shop.sql<{ last_id: number; hash: string }>(
      'SELECT last_id, hash FROM book_head',
    )) as [{ last_id: number; hash: string }]
    const check = await tampered(
      ['UPDATE book_head SET last_id = 5, hash = (SELECT hash FROM events WHERE id = 5)'],
      [`UPDATE book_head SET last_id = ${end}, hash = '${hash}'`],
    )
    expect(check.findings.filter(found => found.why === 'out_of_book').map(found => found.id)).toEqual(
      Array.from({ length: end - 5 }, (_, i) => 6 + i),
    )
  })
  it('a seal that was noted, against a book written anew', async () => {
    const [{ hash }] = (await shop.sql<{ hash: string }>('SELECT hash FROM events WHERE id = 3')) as [{ hash: string }]
    expect(await runScript('verify-book', ['--seal', `3:${hash}`], env())).toMatchObject({
      code: 0,
      output: expect.stringContaining('record 3 has the seal that was noted'),
    })
    expect(await runScript('verify-book', [`--seal=3:${'0'.repeat(64)}`], env())).toMatchObject({
      code: 1,
      output: expect.stringContaining('Record 3 does not have the seal that was noted'),
    })
    expect(await runScript('verify-book', ['--seal', `99999:${hash}`], env())).toMatchObject({
      code: 1,
      output: expect.stringContaining('Record 99999 does not have'),
    })
    expect(await runScript('verify-book', ['--seal', hash], env())).toMatchObject({
      code: 1,
      output: expect.stringContaining('--seal wants a record'),
    })
  })
})

describe('a row that no record left so', () => {
  const one = async (sql: string) => String(Object.values((await shop.sql(sql))[0]!)[0])
  it.each<[string, string, string, () => string, string]>([
    [
      'a hold let go',
      'holds',
      'UPDATE holds SET disposition = \'release\', disposition_text = \'ok\', disposed_at = placed_at WHERE id = 1',
      () => 'UPDATE holds SET disposition = NULL, disposition_text = NULL, disposed_at = NULL WHERE id = 1',
      'row_differs',
    ],
    [
      'a weight',
      'pieces',
      'UPDATE pieces SET green_g = green_g + 500 WHERE id = 1',
      () => 'UPDATE pieces SET green_g = green_g - 500 WHERE id = 1',
      'row_differs',
    ],
    [
      'a lot hidden',
      'lots',
      'UPDATE lots SET voided = id WHERE id = 1',
      () => 'UPDATE lots SET voided = 0 WHERE id = 1',
      'row_differs',
    ],
    [
      'a warm reading made cold',
      'place_readings',
      'UPDATE place_readings SET temp_c = 2 WHERE typed LIKE \'9.1%\'',
      () => 'UPDATE place_readings SET temp_c = 9.1 WHERE typed LIKE \'9.1%\'',
      'row_differs',
    ],
    [
      'a second owner',
      'users',
      'INSERT INTO users (sign_in, name, initials, role, password_hash, notation, active) SELECT \'eve\', '
      + '\'Eve\', \'E\', \'owner\', password_hash, notation, 1 FROM users LIMIT 1',
      () => 'DELETE FROM users WHERE sign_in = \'eve\'',
      'row_without_record',
    ],
    [
      'a password swapped',
      'users',
      'UPDATE users SET password_hash = CONCAT(password_hash, \'x\') WHERE id = 1',
      () => 'UPDATE users SET password_hash = LEFT(password_hash, LENGTH(password_hash) - 1) WHERE id = 1',
      'row_differs',
    ],
    [
      'a piece put elsewhere',
      'pieces',
      'UPDATE pieces SET stage = \'rest\' WHERE id = 1',
      () => 'UPDATE pieces SET stage = \'cure\' WHERE id = 1',
      'state_differs',
    ],
    [
      'a verdict',
      'lots',
      'UPDATE lots SET judgement = REPLACE(judgement, \'"status":"inside"\', \'"status":"up_to"\') WHERE id = 1',
      () => 'UPDATE lots SET judgement = REPLACE(judgement, \'"status":"up_to"\', \'"status":"inside"\') WHERE id = 1',
      'row_differs',
    ],
  ])('shows: %s', async (_what, table, change, undo, why) => {
    const check = await tampered([change], [undo()])
    expect(check.findings).toEqual([expect.objectContaining({ table, why })])
  })
  it('shows: a row taken out', async () => {
    const check = await tampered(
      [
        'CREATE TABLE kept AS SELECT * FROM turns',
        'CREATE TABLE kept2 AS SELECT * FROM place_readings',
        'DELETE FROM place_readings WHERE id = 1',
      ],
      ['INSERT INTO place_readings SELECT * FROM kept2 WHERE id = 1', 'DROP TABLE kept, kept2'],
    )
    expect(check.findings).toEqual([expect.objectContaining({ table: 'place_readings', row: 1, why: 'row_gone' })])
  })
  it('shows: the bytes of a certificate', async () => {
    const png = Buffer.concat([Buffer.from('89504e470d0a1a0a', 'hex'), Buffer.alloc(400, 7)])
    const answer = await fetch(`${shop.address}/api/files?name=lab.png`, {
      method: 'POST',
      body: png,
      headers: { origin: shop.address, cookie: maker.cookie },
    })
    const { id } = (await answer.json()) as { id: number }
    await maker.post(`/api/lots/${lot}/lab-results`, {
      residual: '41',
      laboratory: 'Fen',
      report: 'F-1',
      sampledOn: today(),
      fileId: id,
    })
    const kept = await one(`SELECT HEX(content) FROM files WHERE id = ${id}`)
    const swapped = await tampered(
      [`UPDATE files SET content = UNHEX('${kept.slice(0, -2)}FF') WHERE id = ${id}`],
      [`UPDATE files SET content = UNHEX('${kept}') WHERE id = ${id}`],
    )
    expect(swapped.findings).toEqual([{ id: null, why: 'file_differs', table: 'files', row: id }])
    // Swapped with its hash beside it, the record that named the file shows it.
    const both = await tampered(
      [
        `UPDATE files SET content = UNHEX('${kept.slice(0, -2)}FF') WHERE id = ${id}`,
        `UPDATE files SET sha256 = SHA2(content, 256) WHERE id = ${id}`,
      ],
      [`UPDATE files SET content = UNHEX('${kept}'), sha256 = SHA2(UNHEX('${kept}'), 256) WHERE id = ${id}`],
    )
    expect(both.findings).toEqual([expect.objectContaining({ table: 'files', row: id, why: 'row_differs' })])
  })
  it('what each person chooses for themselves is no record and shows nothing', async () => {
    await maker.put('/api/me/notation', { mass: 'us', temperature: 'F', decimal: '.', dates: 'mdy' })
    expect((await walkBook(shop.adminUrl)).findings).toEqual([])
  })
})

describe('the application\'s own database user', () => {
  it.each([
    'UPDATE book_head SET last_id = 1',
    'INSERT INTO book_head (last_id, hash, last_at) VALUES (1, \'x\', NOW())',
    'INSERT INTO migrations VALUES (\'2099-faked\')',
    'UPDATE recipe_revisions SET note = \'x\'',
    'UPDATE event_rows SET touched = \'{}\'',
    'UPDATE lots SET rubbed_on = \'2020-01-01\'',
    'UPDATE place_readings SET at = NOW()',
    'UPDATE users SET sign_in = \'x\'',
    'UPDATE turns SET by_id = 1',
    'UPDATE files SET name = \'x\'',
    'DROP TRIGGER book_head_moves',
  ])('may not: %s', async sql => expect(await asApp(sql)).toMatch(/ACCESS_DENIED|ER_TABLEACCESS_DENIED_ERROR/))
  it('puts no record anywhere but behind the last', async () => {
    const copy = (id: number) =>
      `INSERT INTO events SELECT ${id}, kind, user_id, at, zone, arithmetic, typed, computed, reason, who, `
      + 'station, subjects, NULL, clock_behind, hash FROM events WHERE id = 2'
    const end = await last()
    for (const id of [-1, 0, end + 2, 2_000_000]) expect(await asApp(copy(id))).toBe('ER_SIGNAL_EXCEPTION')
    expect((await walkBook(shop.adminUrl)).broken).toBeNull()
  })
})

it('a stranger\'s record past the head stops no write, and shows', async () => {
  const end = await last()
  await shop.sql('DROP TRIGGER book_head_moves')
  await shop.sql(
    `INSERT INTO events SELECT ${end + 1}, kind, user_id, at, zone, arithmetic, typed, computed, reason, who, `
    + 'station, subjects, NULL, clock_behind, hash FROM events WHERE id = 2',
  )
  const admin = connect(shop.adminUrl, 1)
  await guardBook(admin)
  await admin.close()
  expect(await maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('3.1') })).toMatchObject({
    status: 200,
    body: { eventId: end + 2 },
  })
  expect(await maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('3.2') })).toMatchObject({
    status: 200,
    body: { eventId: end + 3 },
  })
  expect((await walkBook(shop.adminUrl)).findings).toEqual([{ id: end + 1, why: 'changed' }])
})

it('without the guard nothing is recorded: the head would stay behind', async () => {
  await shop.sql('DROP TRIGGER book_head_moves')
  const before = await last()
  expect((await maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('3.3') })).status).toBe(500)
  expect(await last()).toBe(before)
  await prepareDatabase({ admin: shop.adminUrl, app: shop.databaseUrl })
  expect((await maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('3.3') })).status).toBe(200)
})

describe('a clock that jumped', () => {
  let before = 0
  beforeAll(async () => {
    before = await last()
  })
  const shifted = (days: number) =>
    `--import data:text/javascript,const%20now=Date.now;Date.now=()=>now()+${days * 86_400_000}`
  it.each([[2], [365 * 13]])(
    '%i days ahead is asked about, and taken once somebody says that it is right',
    async (days) => {
      const other = await shop.another({ NODE_OPTIONS: shifted(days) })
      try {
        const there = Object.assign(shop.client(), { address: other.address })
        await there.post('/api/session', MAKER)
        const key = { 'idempotency-key': randomUUID() }
        const asked = await there.post('/api/deliveries', meat(), key)
        expect(asked).toMatchObject({
          status: 409,
          body: { code: 'clock_off_database', detail: expect.stringContaining('hours off') },
        })
        const { nowMs, zone } = asked.body.errors[0].params
        const day = new Intl.DateTimeFormat('en-CA', { timeZone: zone, dateStyle: 'short' }).format(new Date(nowMs))
        expect((await there.post('/api/deliveries', meat(), { ...key, 'clock-seen': '2020-01-01' })).status).toBe(409)
        expect((await there.post('/api/deliveries', meat(), { ...key, 'clock-seen': day })).status).toBe(200)
        // Past 2038-01-19 a time stamp of 32 bits ends; the chain does not.
        const { findings } = await walkBook(shop.adminUrl)
        expect(findings.filter(found => found.why === 'changed' && found.id! > before)).toEqual([])
      }
      finally {
        await other.stop()
      }
    },
  )
  it('a shop that comes back after days away is asked once', async () => {
    const own = await openTestShop()
    try {
      const ada = await own.signedIn(OWNER)
      await own.sql('UPDATE book_head SET last_at = last_at - INTERVAL 3 DAY')
      const asked = await ada.post('/api/deliveries', meat())
      expect(asked).toMatchObject({
        status: 409,
        body: { code: 'clock_ahead', detail: expect.stringMatching(/The last record is 7[12] hours older/) },
      })
      const day = new Intl.DateTimeFormat('en-CA', { timeZone: 'America/Chicago', dateStyle: 'short' }).format(
        new Date(),
      )
      expect((await ada.post('/api/deliveries', meat(), { 'clock-seen': day })).status).toBe(200)
      expect((await ada.post('/api/deliveries', meat())).status).toBe(200)
    }
    finally {
      await own.close()
    }
  })
})
