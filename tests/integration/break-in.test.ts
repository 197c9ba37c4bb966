import { readdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { walkBook } from '../support/book'
import type { Client } from '../support/client'
import { celsius, delivery, GOOD, ingredient, meatLine, rub, stock, type Stock } from '../support/goods'
import { INSPECTOR, MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let inspector: Client
let s: Stock

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  inspector = await shop.signedIn(INSPECTOR)
  s = await stock(maker, { weight: '90 kg' })
})
afterAll(() => shop.close())

const API = resolve(import.meta.dirname, '../../server/api')
/** Every route there is, read off the files: one added tomorrow is tried too. */
const ROUTES = readdirSync(API, { recursive: true, encoding: 'utf8' }).flatMap((file) => {
  const match = /^(.*)\.(get|post|put|delete)\.ts$/.exec(file.replaceAll('\\', '/'))
  if (!match) return []
  const path = join('/api', match[1]!)
    .replace('[code]', 'L-0001')
    .replace('[id]', '1')
    .replace('[table]', 'lots')
    .replace(/\/index$/, '')
  return [{ method: match[2]!.toUpperCase(), path }]
})
const WRITES = ROUTES.filter(route => route.method !== 'GET')
/** Asked before anyone is known; each has tests of its own. */
const DOOR = ['/api/session', '/api/setup', '/api/station/signature', '/api/me/confirm']
const OWN = ['/api/me/notation', '/api/me/password', '/api/me/devices/1/end', '/api/me/calendar/end']
const OWNERS = WRITES.filter(({ path }) => path.startsWith('/api/office') || path === '/api/holds/1/disposition')
const events = async () => Number((await shop.sql<{ n: unknown }>('SELECT COUNT(*) n FROM events'))[0]!.n)

describe('every route that writes', () => {
  const closed = WRITES.filter(({ path }) => !DOOR.includes(path))
  it('is found', () => expect(closed.length).toBeGreaterThan(30))
  it.each(closed)(
    '$method $path is closed to strangers, to other sites and to forged cookies',
    async ({ method, path }) => {
      const before = await events()
      expect((await shop.client().send(method, path, {})).status).toBe(401)
      expect(await owner.send(method, path, {}, { origin: 'http://elsewhere.example' })).toMatchObject({
        status: 403,
        body: { code: 'cross_site' },
      })
      expect((await owner.forged().send(method, path, {})).status).toBe(401)
      expect(await events()).toBe(before)
    },
  )
  it.each(closed.filter(({ path }) => !OWN.includes(path)))(
    '$method $path is closed to an inspector, who reads all and writes nothing',
    async ({ method, path }) => {
      expect((await inspector.send(method, path, {})).status).toBe(403)
    },
  )
  it.each(OWNERS)('$method $path is the owner\'s alone', async ({ method, path }) => {
    expect(await maker.send(method, path, {})).toMatchObject({ status: 403, body: { code: 'not_your_role' } })
  })
  it.each(DOOR.flatMap(path => WRITES.filter(route => route.path === path)))(
    '$method $path takes nothing from another site',
    async ({ method, path }) => {
      expect(await shop.client().send(method, path, {}, { origin: 'http://elsewhere.example' })).toMatchObject({
        status: 403,
        body: { code: 'cross_site' },
      })
    },
  )
})

describe('every route that reads', () => {
  // A calendar's address is itself the secret, with tests of its own.
  const open = ['/api/session', '/api/health', '/api/calendar/[token]']
  it.each(ROUTES.filter(route => route.method === 'GET' && !open.includes(route.path)))(
    '$path is closed to strangers',
    async ({ path }) => {
      expect((await shop.client().get(path)).status).toBe(401)
    },
  )
})

const EVIL = [
  '\'; DROP TABLE events; --',
  '" OR 1=1 --',
  '<script>document.title="gone"</script>',
  '<img src=x onerror=alert(1)>',
  '{{constructor.constructor("return 1")()}}',
  '%00%0d%0aSet-Cookie: a=b',
  '\\\' UNION SELECT password_hash FROM users #',
  '${7*7}',
  '𝒞𝓊𝓇𝑒 🥓 ﷽ \u202E',
]

describe('SQL and markup in every text field are text', () => {
  it.each(EVIL)('%s', async (evil) => {
    const must = async (reply: Promise<{ status: number; body: any }>) => {
      const { status, body } = await reply
      expect(status, JSON.stringify(body)).toBe(200)
      return body
    }
    const tables = async () => (await shop.sql('SHOW TABLES')).length
    const before = await tables()
    const received = await must(
      maker.post(
        '/api/deliveries',
        delivery([meatLine({ supplierLot: evil, reason: evil, checks: { ...GOOD, fat: 'poor' } })], {
          supplier: evil,
          document: evil,
          note: evil,
        }),
      ),
    )
    const dry = await must(
      maker.post(
        '/api/ingredients',
        ingredient('curing_salt', {
          name: evil,
          supplier: evil,
          supplierLot: evil,
          certificate: { number: evil, nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0' },
        }),
      ),
    )
    const lot = await must(maker.post('/api/lots', rub(s, { note: evil })))
    await must(maker.post(`/api/lots/${lot.code}/hold`, { text: evil }))
    const [hold] = (await must(maker.get(`/api/lots/${lot.code}`))).holds
    await must(owner.post(`/api/holds/${hold.id}/disposition`, { disposition: 'release', text: evil }))
    await must(maker.post('/api/corrections', { what: 'meat_supplier_lot', code: s.meat, value: evil, reason: evil }))
    const { eventId } = await must(maker.post(`/api/lots/${lot.code}/turns`, {}))
    await must(maker.post(`/api/events/${eventId}/void`, { reason: evil }))
    await must(
      maker.post(`/api/ingredients/${dry.code}/stock`, {
        kind: 'discarded',
        amount: '1 g',
        reason: evil,
        scaleId: null,
      }),
    )
    await must(
      maker.post('/api/parties', { kind: 'customer', name: `c ${evil}`, contact: evil, approval: evil, note: evil }),
    )
    await must(
      owner.post('/api/office/instruments', {
        kind: 'thermometer',
        name: evil,
        readability: { typed: '0.1', unit: 'C' },
        everyDays: 30,
      }),
    )
    await must(owner.post('/api/office/rules', { confirmedBy: evil, confirmedOn: '2026-11-01', reference: evil }))
    await must(
      maker.post(`/api/meat/${received.meatCodes[0]}/cuttings`, {
        pieceId: null,
        taken: '5 kg',
        kind: 'cut',
        pieces: ['5 kg'],
        trim: null,
        bone: null,
        rind: null,
        note: evil,
      }),
    )
    const store = await must(maker.get('/api/store'))
    const meat = store.meat.find((m: { code: string }) => m.code === received.meatCodes[0])
    expect(meat).toMatchObject({
      supplier: evil,
      supplierLot: evil,
      document: evil,
      note: evil,
      cuttings: [{ note: evil }],
    })
    expect(store.ingredients.find((i: { code: string }) => i.code === dry.code)).toMatchObject({
      name: evil,
      supplierLot: evil,
      certificate: evil,
    })
    const told = await must(maker.get(`/api/lots/${lot.code}`))
    expect(told).toMatchObject({ note: evil, holds: [{ note: evil, text: evil }] })
    expect(told.events.find((e: { id: number }) => e.id === eventId).voided.reason).toBe(evil)
    expect(await tables()).toBe(before)
  })
  it('in a name or a code that asks the database nothing is found and nothing is broken', async () => {
    for (const evil of EVIL.map(encodeURIComponent)) {
      expect((await maker.get(`/api/lots/${evil}`)).status).toBe(404)
      expect((await maker.get(`/api/thread/${evil}`)).status).toBe(404)
      expect(
        (await shop.client().post('/api/session', { signIn: decodeURIComponent(evil).slice(0, 60), password: 'x' }))
          .status,
      ).toBeOneOf([401, 422, 429])
      expect((await maker.post(`/api/fridges/${evil}/readings`, { temperature: celsius('3') })).status).toBe(404)
    }
  })
  it('and the book holds', async () => expect((await walkBook(shop.adminUrl)).broken).toBeNull())
})
