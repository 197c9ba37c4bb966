import { afterAll, beforeAll, expect, it } from 'vitest'
import * as first from '../../server/db/migrations/2026-11-23-first-slice'
import { prepareDatabase } from '../../server/db/setup/prepare'
import { walkBook } from '../support/book'
import { freshDatabase, type FreshDatabase } from '../support/database'

let database: FreshDatabase
const OLD_KEY = '3f0c1a52-7f35-4d8e-9a57-0c2e5b1d4a66'

/** A database as 0.1.0 left it: a few records, one number missing where a write was rolled back, a voided turn. */
beforeAll(async () => {
  database = await freshDatabase({ ready: false })
  for (const sql of first.up) await database.sql(sql)
  await database.sql('CREATE TABLE migrations (name VARCHAR(255) NOT NULL PRIMARY KEY)')
  await database.sql('INSERT INTO migrations VALUES (?)', [first.name])
  await database.sql(
    'INSERT INTO shops (name, zone, rule_set_id, house_target_ppm, turn_every_days, '
    + 'turn_by) VALUES (\'Old shed\', \'America/Chicago\', \'us\', 150, 1, \'18:00\')',
  )
  await database.sql(
    'INSERT INTO users (sign_in, name, initials, role, password_hash, notation, active) VALUES (\'ada\', '
    + '\'Ada "Old" Test\', \'AT\', \'owner\', \'x\', \'{}\', 1)',
  )
  await database.sql('INSERT INTO scales (name, purpose, readability_g) VALUES (\'Old scale\', \'meat\', 5)')
  await database.sql('INSERT INTO fridges (name) VALUES (\'Old fridge\')')
  const event = (id: number, kind: string, typed: string, reason: string | null) =>
    database.sql(
      'INSERT INTO events (id, kind, user_id, at, zone, arithmetic, typed, computed, reason) VALUES (?, ?, 1, ?, '
      + '\'America/Chicago\', \'1\', ?, \'{}\', ?)',
      [id, kind, `2026-11-01 08:00:0${id}.123`, typed, reason],
    )
  await event(1, 'shop_opened', '{"shopName":"Old shed"}', null)
  await event(2, 'meat_received', '{"cut":"belly","weight":{"typed":"4 lb 6 oz"}}', null)
  await event(4, 'corrected', '{"what":"meat_weight"}', 'read “4” for 5')
  await event(7, 'turned', '{}', null)
  await database.sql(
    'INSERT INTO answers (client_key, user_id, request_hash, answer) VALUES (?, 1, '
    + 'SHA2(\'{"password":"a cold brook"}\', 256), \'{"secret":"kept"}\')',
    [OLD_KEY],
  )
  await database.sql(
    'INSERT INTO event_subjects (event_id, code) VALUES (2, \'M-0001\'), (4, \'M-0001\'), (4, \'L-0001\'), (7, \'L-0001\')',
  )
})
afterAll(() => database.drop())

it('a shop from before the chain keeps every record, chained and numbered without a gap', async () => {
  const applied = await prepareDatabase({ admin: database.adminUrl, app: database.url })
  expect(applied.length).toBeGreaterThan(3)
  expect(await walkBook(database.adminUrl)).toMatchObject({ broken: null, records: 5, rows: expect.any(Number) })
  const events = await database.sql<{
    id: number
    kind: string
    who: string
    subjects: string
    typed: string
    reason: string | null
    at: Date
  }>('SELECT * FROM events ORDER BY id')
  expect(events.map(event => [event.id, event.kind, event.who, event.subjects])).toEqual([
    [1, 'shop_opened', 'Ada "Old" Test', '[]'],
    [2, 'meat_received', 'Ada "Old" Test', '["M-0001"]'],
    [3, 'corrected', 'Ada "Old" Test', '["M-0001","L-0001"]'],
    [4, 'turned', 'Ada "Old" Test', '["L-0001"]'],
    [5, 'rows_sealed', 'Veldmoor', '[]'],
  ])
  expect(events[2]).toMatchObject({ typed: '{"what":"meat_weight"}', reason: 'read “4” for 5' })
  expect(await database.sql('SELECT event_id, code FROM event_subjects ORDER BY id')).toEqual([
    { event_id: 2, code: 'M-0001' },
    { event_id: 3, code: 'M-0001' },
    { event_id: 3, code: 'L-0001' },
    { event_id: 4, code: 'L-0001' },
  ])
  expect(await database.sql('SELECT id, kind, name, purpose FROM instruments')).toEqual([
    { id: 1, kind: 'scale', name: 'Old scale', purpose: 'meat' },
  ])
})
it('keeps the key of what was sent before, and neither a digest of it that could be guessed at nor its answer', async () => {
  expect(await database.sql('SELECT client_key, request_hash, answer FROM answers')).toEqual([
    { client_key: OLD_KEY, request_hash: '', answer: null },
  ])
})
it('and a second start finds nothing left to do', async () => {
  expect(await prepareDatabase({ admin: database.adminUrl, app: database.url })).toEqual([])
  expect((await walkBook(database.adminUrl)).broken).toBeNull()
})
