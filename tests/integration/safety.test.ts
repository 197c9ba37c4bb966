import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { celsius, ingredient, receive, rub, stock, type Stock } from '../support/goods'
import { MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let s: Stock

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '60 kg' })
})
afterAll(() => shop.close())

const counts = async () =>
  (
    await shop.sql<Record<string, number>>(
      'SELECT (SELECT COUNT(*) FROM lots) lots, (SELECT COUNT(*) FROM pieces) pieces, '
      + '(SELECT COUNT(*) FROM events) events, (SELECT COUNT(*) FROM lot_ingredients) parts, '
      + '(SELECT COUNT(*) FROM meat_lots) meat',
    )
  )[0]!
const agent = (weighed: string) => ({ agent: { lotCode: s.agent, weighed } })

describe('above a legal maximum nothing is rubbed', () => {
  it.each([
    ['over the limit', { weighed: '13' }, 'rub_above_limit'],
    ['inside, but the weighing cannot show it', { weighed: '12' }, 'rub_limit_not_shown'],
  ])('%s', async (_name, { weighed }, code) => {
    const before = await counts()
    const reply = await maker.post('/api/lots', rub(s, agent(weighed)))
    expect(reply).toMatchObject({ status: 422, body: { code, errors: [{ path: ['agent', 'weighed'], code }] } })
    expect(reply.body.detail).toMatch(/Take off [\d.]+ g of curing salt or add .* of meat.*Nothing was saved/)
    expect(await counts()).toEqual(before)
  })
  it('rind on has the lower limit; loin the higher', async () => {
    // 10.8 g is 176 ppm: 183 at worst, above 180 and under 200.
    expect(await maker.post('/api/lots', rub(s, { ...agent('10.8') }))).toMatchObject({ status: 200 })
    const rind = await receive(maker, { rind: 'on' })
    const on = rub(s, { rind: 'on', ...agent('10.8'), pieces: [{ meatCode: rind, weight: '3.84 kg' }] })
    expect(await maker.post('/api/lots', on)).toMatchObject({ status: 422, body: { code: 'rub_limit_not_shown' } })
    const loin = await receive(maker, { cut: 'loin' })
    expect(
      await maker.post(
        '/api/lots',
        rub(s, { cut: 'loin', ...agent('24'), pieces: [{ meatCode: loin, weight: '3.84 kg' }] }),
      ),
    ).toMatchObject({ status: 200 })
  })
  it('another cut\'s meat cannot borrow a limit', async () =>
    expect(await maker.post('/api/lots', rub(s, { cut: 'loin', ...agent('24') }))).toMatchObject({
      body: { code: 'cut_mismatch' },
    }))
})

describe('holds', () => {
  it('too little nitrite is held until the owner decides, and goes nowhere', async () => {
    const { code } = (await maker.post('/api/lots', rub(s, agent('6')))).body
    const lot = (await maker.get(`/api/lots/${code}`)).body
    expect(lot.openHolds).toEqual(['below_floor'])
    await maker.post(`/api/lots/${code}/out`, {})
    const smoke = () =>
      maker.post('/api/runs', {
        smoker: 'Smoker',
        pieceIds: lot.pieces.map((p: { id: number }) => p.id),
        targetCore: celsius('63'),
      })
    expect(await smoke()).toMatchObject({ body: { code: 'lot_held' } })
    const hold = lot.holds[0].id
    expect(
      await maker.post(`/api/holds/${hold}/disposition`, { disposition: 'release', text: 'looks fine' }),
    ).toMatchObject({ status: 403 })
    expect(await owner.post(`/api/holds/${hold}/disposition`, { disposition: 'release', text: ' ' })).toMatchObject({
      status: 422,
    })
    expect(
      await owner.post(`/api/holds/${hold}/disposition`, {
        disposition: 'release',
        text: 'frozen and sold to be cooked',
      }),
    ).toMatchObject({ status: 200 })
    expect(await owner.post(`/api/holds/${hold}/disposition`, { disposition: 'destroy', text: 'again' })).toMatchObject(
      { status: 409 },
    )
    expect(await smoke()).toMatchObject({ status: 200 })
  })
  it('a warm fridge warns, and holds what lies in it after two hours', async () => {
    const { code } = (await maker.post('/api/lots', rub(s))).body
    const reading = (typed: string) =>
      maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius(typed) })
    expect((await reading('3')).body.verdict).toBe('cold_enough')
    expect((await reading('9')).body.verdict).toBe('warm')
    // Time is moved back in the table: the service reads no clock but the one it is given.
    await shop.sql('UPDATE place_readings SET at = at - INTERVAL 3 HOUR')
    await shop.sql('UPDATE lots SET rubbed_at = rubbed_at - INTERVAL 4 HOUR')
    await shop.sql('UPDATE steps SET from_at = from_at - INTERVAL 4 HOUR, to_at = to_at - INTERVAL 4 HOUR')
    expect((await reading('9')).body.verdict).toBe('hold')
    expect((await maker.get(`/api/lots/${code}`)).body.openHolds).toEqual(['place_warm'])
  })
  it('a slow come-up holds; a lot without nitrite has four hours, not six', async () => {
    const saltOnly = (
      await maker.post(
        '/api/lots',
        rub(s, { method: 'salt_only', agent: null, salt: { lotCode: s.salt, weighed: '115' } }),
      )
    ).body.code
    const cured = (await maker.post('/api/lots', rub(s))).body.code
    const ids: number[] = []
    for (const code of [saltOnly, cured]) {
      await maker.post(`/api/lots/${code}/out`, {})
      ids.push(...(await maker.get(`/api/lots/${code}`)).body.pieces.map((p: { id: number }) => p.id))
    }
    const run = (await maker.post('/api/runs', { smoker: 'Smoker', pieceIds: ids, targetCore: celsius('60') })).body.code
    await shop.sql('UPDATE runs SET started_at = started_at - INTERVAL 6 HOUR WHERE code = ?', [run])
    const now = Date.now()
    const readings = [
      [-300, '10'],
      [-150, '35'],
      [0, '54.4'],
    ].map(([minute, core]) => ({ atMs: now + Number(minute) * 60_000, chamber: null, core: celsius(String(core)) }))
    expect(await maker.post(`/api/runs/${run}/readings`, { phase: 'smoke', source: 'hand', readings })).toMatchObject({
      status: 200,
    })
    expect((await maker.get(`/api/lots/${saltOnly}`)).body.openHolds).toEqual(['come_up_late'])
    expect((await maker.get(`/api/lots/${cured}`)).body.openHolds).toEqual([])
  })
  it('salt only under 1.8 % is not a cure', async () =>
    expect(
      await maker.post(
        '/api/lots',
        rub(s, { method: 'salt_only', agent: null, salt: { lotCode: s.salt, weighed: '60' } }),
      ),
    ).toMatchObject({ body: { code: 'salt_only_too_weak' } }))
})

describe('corrections', () => {
  it('keep the first value, ask why, and judge again', async () => {
    const { code } = (await maker.post('/api/lots', rub(s))).body
    const part = (await maker.get(`/api/lots/${code}`)).body.ingredients.find(
      (i: { role: string }) => i.role === 'agent',
    )
    const right = { what: 'ingredient_weighed', id: part.id, value: '19.2' }
    expect(await maker.post('/api/corrections', { ...right, reason: '' })).toMatchObject({
      status: 422,
      body: { errors: [{ path: ['reason'], code: 'reason_missing' }] },
    })
    expect(await maker.post('/api/corrections', { ...right, reason: 'misread the scale' })).toMatchObject({
      status: 200,
    })
    const lot = (await maker.get(`/api/lots/${code}`)).body
    expect(lot.judgement.status).toBe('above_limit')
    expect(lot.openHolds).toEqual(['above_limit'])
    const event = lot.events.find((e: { kind: string }) => e.kind === 'corrected')
    expect(event).toMatchObject({ reason: 'misread the scale', computed: { from: '9.2', to: '19.2' } })
    expect(lot.events[0].typed.agent.weighed.typed).toBe('9.2')
  })
  it('of which curing salt went on judge the lot by the one that did; a wrong or an unknown one holds it', async () => {
    const weaker = (
      await maker.post(
        '/api/ingredients',
        ingredient('curing_salt', {
          certificate: { number: 'C-2', nitritePercent: '0.6', nitriteAs: 'NaNO2', tolerancePercent: '0' },
        }),
      )
    ).body.code
    const agentOf = async (code: string) =>
      (await maker.get(`/api/lots/${code}`)).body.ingredients.find((i: { role: string }) => i.role === 'agent')
    const correctTo = async (value: string | null) => {
      const { code } = (await maker.post('/api/lots', rub(s))).body
      expect(
        await maker.post('/api/corrections', {
          what: 'agent_used',
          id: (await agentOf(code)).id,
          value,
          reason: 'the other tin was open',
        }),
      ).toMatchObject({ status: 200 })
      return (await maker.get(`/api/lots/${code}`)).body
    }
    const weak = await correctTo(weaker)
    expect(weak.judgement.lot.ppm).toBeCloseTo(((9.2 * 0.006) / 3840) * 1e6, 6)
    expect(weak.openHolds).toEqual(['below_floor'])
    const wrong = await correctTo(s.salt)
    expect(wrong.openHolds).toEqual(['wrong_agent'])
    expect(wrong.judgement.lot).toBeNull()
    const unknown = await correctTo(null)
    expect(unknown.openHolds).toEqual(['unknown_agent'])
    expect(unknown.judgement.lot).toBeNull()
    expect(unknown.events.find((e: { kind: string }) => e.kind === 'corrected')).toMatchObject({
      computed: { from: s.agent, to: 'unknown' },
    })
  })
  it('of a supplier\'s lot reach the thread', async () => {
    expect(
      await maker.post('/api/corrections', {
        what: 'meat_supplier_lot',
        code: s.meat,
        value: 'NF-2',
        reason: 'label read wrongly',
      }),
    ).toMatchObject({ status: 200 })
    const { nodes } = (await maker.get(`/api/thread/${s.meat}`)).body
    expect(nodes.find((n: { code: string }) => n.code === s.meat).detail).toContain('NF-2')
  })
  it('of a piece round-trip exactly', async () => {
    const { code } = (await maker.post('/api/lots', rub(s))).body
    const piece = (await maker.get(`/api/lots/${code}`)).body.pieces[0]
    await maker.post('/api/corrections', {
      what: 'piece_weight',
      id: piece.id,
      value: '2450.5 - 600.25',
      reason: 'the tub was counted',
    })
    expect((await maker.get(`/api/lots/${code}`)).body.pieces[0]).toMatchObject({
      greenG: 1850.25,
      greenTyped: '2450.5 - 600.25',
    })
  })
})

it('curing salt without a certificate is not taken in', async () =>
  expect(await maker.post('/api/ingredients', ingredient('curing_salt', { certificate: null }))).toMatchObject({
    status: 422,
    body: { errors: [{ code: 'certificate_missing' }] },
  }))
it('more than there is cannot be rubbed', async () =>
  expect(
    await maker.post(
      '/api/lots',
      rub(s, { pieces: Array.from({ length: 3 }, () => ({ meatCode: s.meat, weight: '40 kg' })) }),
    ),
  ).toMatchObject({ body: { code: 'meat_used_up' } }))
