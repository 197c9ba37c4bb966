import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openStore } from '../../server/db/database'
import type { Client } from '../support/client'
import { ingredient, meat, rub, stock, type Stock } from '../support/goods'
import { INSPECTOR, MAKER, openTestShop, OWNER, setUp, type TestShop } from '../support/shop'

let shop: TestShop
let maker: Client
let s: Stock

beforeAll(async () => {
  shop = await openTestShop()
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '200 kg' })
})
afterAll(() => shop.close())

const rows = async (table: string) => Number((await shop.sql<{ n: number }>(`SELECT COUNT(*) n FROM ${table}`))[0]!.n)
const everything = async () => [
  await rows('lots'),
  await rows('pieces'),
  await rows('events'),
  await rows('answers'),
  await rows('meat_lots'),
  await rows('parties'),
]

describe('bad input is told field by field, and nothing is half saved', () => {
  it.each([
    ['0', 'not_positive'],
    ['-5', 'not_positive'],
    ['NaN', 'not_a_weight'],
    ['1e9', 'not_a_weight'],
    ['4 lb 20 oz', 'ounces_over_16'],
    ['٤ kg', 'foreign_digits'],
    ['470 - 2450', 'tare_above_gross'],
    ['', 'empty'],
    ['1,840', 'ambiguous_comma'],
    ['1'.repeat(61), 'longer_than'],
  ])('weight %j: %s', async (weight, code) => {
    const before = await everything()
    const reply = await maker.post('/api/deliveries', meat({ weight }))
    expect(reply.status).toBe(422)
    expect(reply.type).toContain('application/problem+json')
    expect(reply.body).toMatchObject({ status: 422, errors: [{ path: ['lines', 0, 'weight'], code }] })
    expect(reply.body.errors[0].detail.length).toBeGreaterThan(10)
    expect(await everything()).toEqual(before)
  })
  it('the fault in the third piece names the third piece', async () => {
    const pieces = ['1840', '2 kg', '4 lb 20 oz'].map(weight => ({ meatCode: s.meat, weight }))
    expect((await maker.post('/api/lots', rub(s, { pieces }))).body.errors[0]).toMatchObject({
      path: ['pieces', 2, 'weight'],
      code: 'ounces_over_16',
    })
  })
  it('no pieces, 401 pieces, a stranger field, no JSON', async () => {
    expect((await maker.post('/api/lots', rub(s, { pieces: [] }))).body.errors[0].code).toBe('no_pieces')
    expect(
      (
        await maker.post(
          '/api/lots',
          rub(s, { pieces: Array.from({ length: 401 }, () => ({ meatCode: s.meat, weight: '100' })) }),
        )
      ).body.errors[0].code,
    ).toBe('too_many_pieces')
    expect((await maker.post('/api/deliveries', meat({ price: 1 }))).body.errors[0].code).toBe('unknown_field')
    expect(await maker.post('/api/deliveries', '{"supplier":')).toMatchObject({
      status: 400,
      body: { code: 'not_json' },
    })
    expect(await maker.post('/api/deliveries', `"${'x'.repeat(2_100_000)}"`)).toMatchObject({
      status: 413,
      body: { code: 'too_large' },
    })
  })
  it('400 pieces are a lot', async () => {
    const pieces = Array.from({ length: 400 }, () => ({ meatCode: s.meat, weight: '200' }))
    const reply = await maker.post(
      '/api/lots',
      rub(s, {
        pieces,
        agent: { lotCode: s.agent, weighed: '192' },
        salt: { lotCode: s.salt, weighed: '1820' },
        sugar: { lotCode: s.sugar, weighed: '800' },
      }),
    )
    expect(reply.status, JSON.stringify(reply.body).slice(0, 300)).toBe(200)
  })
  it('markup in a name is kept as text and given back as text', async () => {
    const name = '<img src=x onerror=alert(1)> "O\'Hare" ; DROP TABLE lots; --'
    const [code] = (await maker.post('/api/deliveries', meat({ supplierLot: '%_\\' }, { supplier: name }))).body
      .meatCodes
    const { meat: list } = (await maker.get('/api/store')).body
    expect(list.find((m: { code: string }) => m.code === code)).toMatchObject({ supplier: name, supplierLot: '%_\\' })
  })
})

describe('the same write, however often it is sent', () => {
  it('is stored once, five times at once', async () => {
    const before = await rows('meat_lots')
    const key = { 'idempotency-key': randomUUID() }
    const replies = await Promise.all(Array.from({ length: 5 }, () => maker.post('/api/deliveries', meat(), key)))
    expect(replies.map(r => r.status)).toEqual([200, 200, 200, 200, 200])
    expect(new Set(replies.map(r => r.body.code)).size).toBe(1)
    expect(await rows('meat_lots')).toBe(before + 1)
  })
  it('a key used for something else is refused', async () => {
    const key = { 'idempotency-key': randomUUID() }
    await maker.post('/api/deliveries', meat(), key)
    expect(await maker.post('/api/deliveries', meat({ weight: '21 kg' }), key)).toMatchObject({
      status: 409,
      body: { code: 'key_reused' },
    })
  })
  it('a refused try leaves the key free for the right one', async () => {
    const key = { 'idempotency-key': randomUUID() }
    expect(await maker.post('/api/lots', rub(s, { agent: { lotCode: s.agent, weighed: '13' } }), key)).toMatchObject({
      status: 422,
    })
    expect(await maker.post('/api/lots', rub(s), key)).toMatchObject({ status: 200 })
  })
  it('eight makers at once never share a code', async () => {
    const replies = await Promise.all(Array.from({ length: 40 }, () => maker.post('/api/deliveries', meat())))
    expect(replies.every(r => r.status === 200)).toBe(true)
    expect(new Set(replies.map(r => r.body.code)).size).toBe(40)
  })
})

describe('who may', () => {
  it('nobody without signing in; an inspector reads and writes nothing', async () => {
    expect(await shop.client().get('/api/store')).toMatchObject({ status: 401 })
    expect(await shop.client().post('/api/deliveries', meat())).toMatchObject({ status: 401 })
    const inspector = await shop.signedIn(INSPECTOR)
    expect(await inspector.get('/api/store')).toMatchObject({ status: 200 })
    for (const path of [
      '/api/deliveries',
      '/api/lots',
      '/api/ingredients',
      '/api/lots/L-0001/turns',
      '/api/corrections',
      '/api/office/people',
    ]) {
      expect(await inspector.post(path, {}), path).toMatchObject({ status: 403, body: { code: 'not_your_role' } })
    }
  })
  it('no write from another site, nor one that does not say where it comes from', async () => {
    expect(await maker.post('/api/deliveries', meat(), { origin: 'http://elsewhere.example' })).toMatchObject({
      status: 403,
      body: { code: 'cross_site' },
    })
    expect(await maker.post('/api/deliveries', meat(), { origin: 'null' })).toMatchObject({ status: 403 })
    const bare = await fetch(`${shop.address}/api/deliveries`, {
      method: 'POST',
      headers: { 'cookie': maker.cookie, 'idempotency-key': randomUUID() },
      body: JSON.stringify(meat()),
    })
    expect(bare.status).toBe(403)
  })
  it('a cookie that was tampered with is nobody', async () => {
    expect(await maker.get('/api/store')).toMatchObject({ status: 200 })
    expect(await maker.forged().get('/api/store')).toMatchObject({ status: 401 })
  })
  it('six wrong passwords close a name for a while, and say so', async () => {
    const owner = await shop.signedIn(OWNER)
    await owner.post('/api/office/people', {
      name: 'Dee',
      initials: 'D',
      signIn: 'dee',
      password: 'right password',
      role: 'maker',
    })
    for (let i = 0; i < 6; i++)
      expect(await shop.client().post('/api/session', { signIn: 'dee', password: 'wrong' })).toMatchObject({
        status: 401,
        body: { code: 'sign_in_wrong' },
      })
    expect(await shop.client().post('/api/session', { signIn: 'dee', password: 'right password' })).toMatchObject({
      status: 429,
      body: { code: 'sign_in_closed' },
    })
  })
  it('wrong passwords are counted for the machine they come from: behind a web server, for the one it names', async () => {
    const behind = await shop.another({ PROXIES: '1' })
    const from = (address: string, body: object = { signIn: `guess-${randomUUID()}`, password: 'wrong' }) =>
      Object.assign(shop.client(), { address: behind.address }).post('/api/session', body, {
        'x-forwarded-for': address,
      })
    // What stands before the web server's own entry is the guesser's invention.
    const guesses = await Promise.all(Array.from({ length: 31 }, (_, i) => from(`203.0.113.${i}, 198.51.100.7`)))
    expect(guesses.filter(reply => reply.status === 429).length).toBeGreaterThanOrEqual(1)
    expect(await from('198.51.100.7', MAKER)).toMatchObject({ status: 429, body: { code: 'sign_in_closed' } })
    expect(await from('198.51.100.8', MAKER)).toMatchObject({ status: 200 })
    // Nobody stands before the other process: it believes no header.
    expect(await shop.client().post('/api/session', MAKER, { 'x-forwarded-for': '198.51.100.7' })).toMatchObject({
      status: 200,
    })
    expect(
      await shop.sql('SELECT DISTINCT address FROM sign_in_attempts WHERE address LIKE ?', ['203.0.113.%']),
    ).toEqual([])
    await behind.stop()
  })
  it('passwords are kept as scrypt hashes and nowhere in the book', async () => {
    const users = await shop.sql<{ password_hash: string }>('SELECT password_hash FROM users')
    expect(users.every(user => user.password_hash.startsWith('$scrypt$'))).toBe(true)
    const leaks = await shop.sql('SELECT id FROM events WHERE typed LIKE ? OR computed LIKE ?', [
      `%${MAKER.password}%`,
      `%${MAKER.password}%`,
    ])
    expect(leaks).toHaveLength(0)
  })
  it('the shop is set up once', async () =>
    expect(await shop.client().post('/api/setup', setUp({ shopName: 'Mine' }))).toMatchObject({
      status: 409,
      body: { code: 'shop_exists' },
    }))
})

describe('the database', () => {
  it('gives back every digit of a mass', async () => {
    const store = openStore(shop.databaseUrl)
    const { insertId } = await store.transaction(async tables => ({
      insertId: await tables.instruments.insert({
        kind: 'scale',
        name: 'exact',
        purpose: 'mix',
        readability: 123_456_789.0123,
        offsetC: 0,
        everyDays: 30,
        inUse: true,
      }),
    }))
    const [raw] = await shop.sql<{ t: string }>('SELECT CAST(readability AS CHAR) t FROM instruments WHERE id = ?', [
      insertId,
    ])
    expect(raw!.t).toBe('123456789.0123')
    expect((await store.tables.instruments.one({ id: insertId }))!.readability).toBe(123_456_789.0123)
    await store.close()
  })
  it('keeps masses as DECIMAL and instants in UTC, nowhere as a binary float', async () => {
    const floats = await shop.sql(
      'SELECT table_name FROM information_schema.columns WHERE table_schema = DATABASE() AND data_type IN (\'float\', \'double\')',
    )
    expect(floats).toHaveLength(0)
    const { code } = (await maker.post('/api/ingredients', ingredient('salt'))).body
    const [lag] = await shop.sql<{ s: number }>(
      'SELECT ABS(TIMESTAMPDIFF(SECOND, received_at, UTC_TIMESTAMP())) s FROM ingredient_lots WHERE code = ?',
      [code],
    )
    expect(Number(lag!.s)).toBeLessThan(30)
  })
  it('rolls back whole', async () => {
    const store = openStore(shop.databaseUrl)
    const before = await rows('instruments')
    await expect(
      store.transaction(async (tables) => {
        await tables.instruments.insert({
          kind: 'scale',
          name: 'gone',
          purpose: 'mix',
          readability: 1,
          offsetC: 0,
          everyDays: 30,
          inUse: true,
        })
        throw new Error('stop')
      }),
    ).rejects.toThrow('stop')
    expect(await rows('instruments')).toBe(before)
    await store.close()
  })
})
