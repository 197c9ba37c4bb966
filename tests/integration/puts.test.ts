import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { STARTER_PLANS } from '#core/plan/starters'
import type { Client } from '../support/client'
import { ingredient, rub, stock, type Stock } from '../support/goods'
import { must } from '../support/must'
import { INSPECTOR, MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let maker: Client
let owner: Client
let s: Stock
let mix: string
let pepper: string

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '200 kg' })
  mix = (
    await must(
      maker.post('/api/mixes', {
        name: 'House mix',
        forKg: '10',
        ppm: '150',
        scaleId: s.mixScaleId,
        bestBefore: null,
        parts: [
          { lotCode: s.agent, weighed: '24' },
          { lotCode: s.salt, weighed: '230' },
          { lotCode: s.sugar, weighed: '100' },
        ],
      }),
    )
  ).code
  pepper = (
    await must(
      maker.post('/api/ingredients', ingredient('spice', {
        name: 'Mustard rub',
        composition: { saltPercent: '5', sugarPercent: '0', waterPercent: '8', allergens: ['mustard'] },
      })),
    )
  ).code
})
afterAll(() => shop.close())

const lotOf = async (code: string) => await must(maker.get(`/api/lots/${code}`))
const rubbed = async (more: Record<string, unknown> = {}): Promise<string> =>
  (await must(maker.post('/api/lots', rub(s, more)))).code
const tell = (code: string, steps: object[], more: object = {}) =>
  maker.post('/api/steps', { steps, lots: [{ code, pieces: null }], when: { told: 'now' }, ...more })
const add = (lotCode: string, weighed: string | null, more: object = {}) => ({
  kind: 'add',
  face: 'all',
  parts: [{ lotCode, weighed }],
  scaleId: s.mixScaleId,
  ...more,
})
const leftOf = async (code: string): Promise<number> =>
  (await must(maker.get('/api/store'))).ingredients.find((lot: { code: string }) => lot.code === code).leftG
const OUT = { kind: 'out', rinses: 1 }

describe('more of the cure', () => {
  it('plain salt by the face counts in stock and salt, and leaves the nitrite alone', async () => {
    const code = await rubbed()
    const before = await lotOf(code)
    const leftG = await leftOf(s.salt)
    const done = await must(tell(code, [{ kind: 'turn', how: 'turned', face: null }, add(s.salt, '20', { face: 'up' })]))
    expect(done.lots[0].did.map((step: { kind: string }) => step.kind)).toEqual(['add'])
    const lot = await lotOf(code)
    expect(lot.judgement.lot).toEqual(before.judgement.lot)
    expect(lot.openHolds).toEqual([])
    expect(leftG - (await leftOf(s.salt))).toBeCloseTo(20, 6)
    expect(lot.ingredients.at(-1)).toMatchObject({ code: s.salt, weighedG: 20, face: 'up', application: 3, pieceNumbers: null })
    // Undone, the press is gone with its stock.
    await must(maker.post(`/api/events/${done.eventId}/undo`, {}))
    expect((await lotOf(code)).ingredients).toHaveLength(3)
    expect(await leftOf(s.salt)).toBeCloseTo(leftG, 6)
  })
  it('curing salt on one piece alone raises that piece, is judged there, and its ledger tells who and when', async () => {
    const code = await rubbed({ agent: { lotCode: s.agent, weighed: '8' } })
    const { pieces } = await lotOf(code)
    await must(tell(code, [add(s.agent, '0.6')], { lots: [{ code, pieces: [pieces[0].id] }] }))
    const lot = await lotOf(code)
    expect(lot.judgement.pieces[0].ppm).toBeCloseTo((1e6 * 0.0625 * ((8 * 1840) / 3840 + 0.6)) / 1840, 6)
    expect(lot.judgement.pieces[1].ppm).toBeCloseTo((1e6 * 0.0625 * 8) / 3840, 6)
    expect(lot.ingredients.at(-1)).toMatchObject({ pieceNumbers: [1] })
    const ledger = await must(owner.get('/api/salt-ledger'))
    const account = ledger.lots.find((one: { code: string }) => one.code === s.agent)
    const used = account.lines.filter((line: { lot: string | null }) => line.lot === code)
    expect(used).toMatchObject([{ outG: 8 }, { outG: 0.6, typed: '0.6', kind: 'used' }])
    expect(used[1].by).toBeTruthy()
  })
  it('above the limit is said first; told that it lies there, it is recorded and holds', async () => {
    const code = await rubbed()
    const over = [add(s.agent, '5')]
    expect(await tell(code, over)).toMatchObject({ status: 422, body: { code: 'add_over' } })
    expect((await lotOf(code)).ingredients).toHaveLength(3)
    const done = await must(tell(code, [{ ...over[0], sure: true }]))
    expect(done.lots[0]).toMatchObject({ judgement: { status: 'above_limit' }, openHolds: ['above_limit'] })
    expect((await lotOf(code)).judgement.lot.ppm).toBeCloseTo((1e6 * 14.2 * 0.0625) / 3840, 6)
    // What follows it is told all the same.
    await must(tell(code, [{ kind: 'turn', how: 'turned', face: null }]))
    expect((await lotOf(code)).holds).toMatchObject([{ reason: 'above_limit', changedBy: null }])
    // Taken back, the hold stays for the owner, and says by which record it follows no more.
    await must(maker.post(`/api/events/${done.eventId}/undo`, {}))
    const lot = await lotOf(code)
    expect(lot.judgement.status).toBe('inside')
    expect(lot.holds).toMatchObject([{ reason: 'above_limit', disposition: null }])
    expect(lot.holds[0].changedBy).toBeGreaterThan(done.eventId)
  })
  it('on one piece, that piece decides for the lot', async () => {
    const code = await rubbed()
    const { pieces } = await lotOf(code)
    const lots = [{ code, pieces: [pieces[1].id] }]
    expect(await tell(code, [add(s.agent, '2.5')], { lots })).toMatchObject({ body: { code: 'add_over' } })
    await must(tell(code, [add(s.agent, '2.5', { sure: true })], { lots }))
    const { judgement } = await lotOf(code)
    expect(judgement).toMatchObject({ status: 'above_limit', decides: [2] })
    expect(judgement.lot.ppm).toBeCloseTo(judgement.pieces[1].ppm, 9)
  })
  it('a mix not weighed opens the figure upwards and holds; plain salt not weighed does not', async () => {
    const code = await rubbed()
    await must(tell(code, [add(s.salt, null)]))
    expect((await lotOf(code)).openHolds).toEqual([])
    const again = { again: true }
    expect(await tell(code, [add(mix, null)])).toMatchObject({ status: 422, body: { code: 'add_unweighed' } })
    await must(tell(code, [add(mix, null, { sure: true })], again))
    const lot = await lotOf(code)
    expect(lot.judgement).toMatchObject({ status: 'limit_not_shown', meaning: 'open' })
    expect(lot.openHolds).toEqual(['limit_not_shown'])
    // Found out later what it was.
    const part = lot.ingredients.at(-1)
    await must(owner.post('/api/corrections', { what: 'ingredient_weighed', id: part.id, value: '10', reason: 'the tub was weighed' }))
    expect((await lotOf(code)).judgement).toMatchObject({ meaning: 'exact', status: 'inside' })
  })
  it('curing salt is never put on by eye', async () => {
    const code = await rubbed()
    for (const sure of [false, true])
      expect(await tell(code, [add(s.agent, null, { sure })])).toMatchObject({ status: 422, body: { code: 'agent_by_eye' } })
  })
  it('the same again within ten minutes is asked about, something else is not', async () => {
    const code = await rubbed()
    await must(tell(code, [add(s.salt, '4')]))
    expect(await tell(code, [add(s.salt, '4')])).toMatchObject({ body: { code: 'told_already' } })
    await must(tell(code, [add(s.sugar, '6')]))
    await must(tell(code, [add(s.salt, '4')], { again: true }))
    expect((await lotOf(code)).ingredients).toHaveLength(6)
  })
  it('far too much salt is asked about, and holds when it lies there', async () => {
    const code = await rubbed()
    expect(await tell(code, [add(s.salt, '180')])).toMatchObject({ body: { code: 'add_too_salty' } })
    await must(tell(code, [add(s.salt, '180', { sure: true })]))
    expect((await lotOf(code)).openHolds).toEqual(['salt_outside'])
  })
  it('told late it stands at its hour, and moves with a correction of it', async () => {
    const code = await rubbed()
    const atMs = Date.now() - 60_000
    expect(await tell(code, [add(s.salt, '5')], { when: { told: 'ago', minutes: 30 } })).toMatchObject({
      body: { code: 'step_contradicts' },
    })
    const done = await must(tell(code, [add(s.salt, '5')]))
    const { eventId } = done
    expect(await maker.post('/api/corrections', {
      what: 'step_hour',
      id: eventId,
      value: atMs - 3_600_000,
      reason: 'wrong hour',
    })).toMatchObject({
      body: { code: 'step_contradicts' },
    })
    expect((await lotOf(code)).ingredients.at(-1).atMs).toBeGreaterThan(atMs)
  })
  it('after the cure nothing is salted', async () => {
    const code = await rubbed()
    await must(tell(code, [OUT]))
    expect(await tell(code, [add(s.salt, '5')])).toMatchObject({ body: { code: 'step_contradicts' } })
    expect((await lotOf(code)).ingredients).toHaveLength(3)
  })
})

describe('two halves', () => {
  const half = { method: 'two_applications', firstShare: '50', agent: () => ({ lotCode: s.agent, weighed: '4.6' }) }
  const first = () => ({
    ...half,
    agent: half.agent(),
    salt: { lotCode: s.salt, weighed: '43.7' },
    sugar: { lotCode: s.sugar, weighed: '19.2' },
  })
  const parts = () => [
    { lotCode: s.agent, weighed: '4.6' },
    { lotCode: s.salt, weighed: '43.7' },
  ]
  it('the second is told by a press, with another lot of the same kind, and nothing waits any more', async () => {
    const other = (await must(maker.post('/api/ingredients', ingredient('curing_salt', { supplierLot: 'other' })))).code
    const code = await rubbed(first())
    expect((await lotOf(code)).secondDue).toBe(true)
    expect((await must(maker.get(`/api/lots/${code}/puts`))).toCome.agentG).toBeCloseTo(4.6, 1)
    await must(tell(code, [{ ...add(s.salt, '1'), parts: parts().map((part, i) => (i ? part : { ...part, lotCode: other })) }]))
    const lot = await lotOf(code)
    expect(lot.secondDue).toBe(false)
    expect(lot.judgement.lot.ppm).toBeCloseTo((1e6 * 9.2 * 0.0625) / 3840, 6)
    expect(lot.judgement.status).toBe('inside')
    expect(lot.ingredients.filter((part: { application: number }) => part.application === 2)).toHaveLength(2)
  })
  it('that never comes counts no more once the cure is over: what went in decides, and holds', async () => {
    const code = await rubbed(first())
    expect((await lotOf(code)).judgement.status).toBe('inside')
    const { eventId } = await must(tell(code, [OUT]))
    const lot = await lotOf(code)
    expect(lot.judgement).toMatchObject({ status: 'below_floor' })
    expect(lot.judgement.lot.ppm).toBeCloseTo((1e6 * 4.6 * 0.0625) / 3840, 6)
    expect(lot.openHolds).toContain('below_floor')
    // The press is undone by its own number, although it held.
    await must(maker.post(`/api/events/${eventId}/undo`, {}))
    expect((await lotOf(code)).judgement.status).toBe('inside')
  })
  it('a pinch of plain salt before is no second half', async () => {
    const code = await rubbed(first())
    await must(tell(code, [add(s.salt, '3')]))
    expect((await lotOf(code)).secondDue).toBe(true)
  })
  it('go without nitrite too, and in a salt box', async () => {
    const targets = { saltShare: '4', sugarShare: '0', saltBasis: 'total', nitritePpm: '0' }
    const salt = { lotCode: s.salt, weighed: '76.8' }
    const halves = await rubbed({ ...first(), agent: null, sugar: null, targets, salt })
    expect(await lotOf(halves)).toMatchObject({ saltOnly: true, secondDue: true, judgement: { status: 'no_nitrite', meaning: 'none' } })
    expect((await must(maker.post(`/api/lots/${halves}/second-application`, {
      agent: null,
      salt,
      sugar: null,
      mixScaleId: s.mixScaleId,
    }))).code).toBe(halves)
    expect((await lotOf(halves)).secondDue).toBe(false)
    const box = await rubbed({
      method: 'excess',
      agent: null,
      sugar: null,
      targets: { ...targets, saltShare: '10' },
      salt: { lotCode: s.salt, weighed: '384' },
    })
    expect(await lotOf(box)).toMatchObject({ saltOnly: true, method: 'excess', judgement: { status: 'no_nitrite' } })
    expect(await maker.post('/api/lots', rub(s, { agent: null }))).toMatchObject({ status: 422 })
  })
  it('nitrite on a lot of salt only is another cure: said, and held where it lies there', async () => {
    const targets = { saltShare: '3', sugarShare: '0', saltBasis: 'total', nitritePpm: '0' }
    const code = await rubbed({ agent: null, sugar: null, targets, salt: { lotCode: s.salt, weighed: '115.2' } })
    expect(await tell(code, [add(s.agent, '9')])).toMatchObject({ body: { code: 'agent_on_salt_only' } })
    await must(tell(code, [add(s.agent, '9', { sure: true })]))
    const lot = await lotOf(code)
    expect(lot.openHolds).toContain('wrong_agent')
    expect(lot.judgement.lot.ppm).toBeCloseTo((1e6 * 9 * 0.0625) / 3840, 6)
    expect(lot.saltOnly).toBe(true)
  })
  it('what a plan keeps for later counts as planned, until it is on', async () => {
    const plan = {
      ...STARTER_PLANS.salted_again,
      cure: { ...STARTER_PLANS.salted_again.cure, adds: [{ when: { on: 'day', day: 2 }, face: 'up', share: 0.5 }] },
    }
    const code = await rubbed({ ...first(), method: 'dry', firstShare: null, plan })
    expect((await lotOf(code)).judgement).toMatchObject({ status: 'inside' })
    expect((await must(maker.get(`/api/lots/${code}/puts`))).toCome.saltG).toBeCloseTo(43.7, 0)
    await must(tell(code, [{ ...add(s.salt, '1'), parts: parts() }]))
    expect((await must(maker.get(`/api/lots/${code}/puts`))).toCome).toBeNull()
    expect((await lotOf(code)).judgement.lot.ppm).toBeCloseTo((1e6 * 9.2 * 0.0625) / 3840, 6)
  })
})

describe('flavour after the cure', () => {
  const flavour = (how: string, minutes: number | null, lotCode: string, weighed: string | null) => ({
    kind: 'flavour',
    how,
    minutes,
    parts: [{ lotCode, weighed }],
    scaleId: null,
  })
  it('goes on what is out, brings its allergens, and ends with the next thing', async () => {
    const code = await rubbed()
    expect(await tell(code, [flavour('dry_spice', 0, pepper, '12')])).toMatchObject({ body: { code: 'step_contradicts' } })
    await must(tell(code, [OUT]))
    expect((await lotOf(code)).allergens).toEqual([])
    await must(tell(code, [flavour('marinade', null, pepper, '12')]))
    const lot = await lotOf(code)
    expect(lot.allergens).toEqual(['mustard'])
    expect(lot.ingredients.at(-1)).toMatchObject({ usedFor: 'flavour', weighedG: 12 })
    expect(lot.did.at(-1)).toMatchObject({ kind: 'flavour', how: 'marinade', toMs: null })
    await must(tell(code, [flavour('dry_spice', 0, pepper, null)], { again: true }))
  })
  it('after a brine flavour changes nothing of what went in', async () => {
    const brine = {
      method: 'wet_equilibrium',
      water: '2 kg',
      agent: { lotCode: s.agent, weighed: '10.6' },
      salt: { lotCode: s.salt, weighed: '140' },
    }
    const code = await rubbed({ ...brine, sugar: { lotCode: s.sugar, weighed: '58' } })
    await must(tell(code, [OUT]))
    const before = (await lotOf(code)).judgement.lot.ppm
    const done = await must(tell(code, [flavour('glaze', 0, s.sugar, '400')]))
    await must(owner.post('/api/corrections', { what: 'step_hour', id: done.eventId, value: Date.now(), reason: 'a minute later' }))
    expect((await lotOf(code)).judgement.lot.ppm).toBeCloseTo(before, 9)
  })
  it('past its date is said first; told that it is on, it holds', async () => {
    const old = (await must(maker.post('/api/ingredients', ingredient('sugar', { name: 'Old glaze', bestBefore: '2026-11-01' })))).code
    const code = await rubbed()
    await must(tell(code, [OUT]))
    const glaze = flavour('glaze', 0, old, '50')
    expect(await tell(code, [glaze])).toMatchObject({ status: 422, body: { code: 'ingredient_expired' } })
    await must(tell(code, [{ ...glaze, sure: true }]))
    expect((await lotOf(code)).openHolds).toEqual(['past_date'])
  })
})

describe('what a form would never send', () => {
  it('is refused with nothing kept', async () => {
    const [one, two] = [await rubbed(), await rubbed()]
    const lots = [{ code: one, pieces: null }, { code: two, pieces: null }]
    expect(await tell(one, [add(s.salt, '5')], { lots })).toMatchObject({ status: 422 })
    expect(await tell(one, [{ ...add(s.salt, '5'), parts: [] }])).toMatchObject({ status: 422 })
    expect(await tell(one, [add('N-9999', '5')])).toMatchObject({ body: { code: 'no_such_ingredient' } })
    expect(await tell(one, [add(s.salt, '9 kg')])).toMatchObject({ body: { code: 'ingredient_used_up' } })
    expect(await tell(one, [add(s.salt, '-5')])).toMatchObject({ status: 422 })
    expect(await tell(one, [add(s.salt, '5', { face: 'side' })])).toMatchObject({ status: 422 })
    expect(await tell(one, [add(s.salt, '5', { scaleId: 99_999 })])).toMatchObject({ body: { code: 'no_such_scale' } })
    for (const code of [one, two]) expect((await lotOf(code)).ingredients).toHaveLength(3)
  })
  it('an inspector puts nothing on, and looks into no store for it', async () => {
    const code = await rubbed()
    const inspector = await shop.signedIn(INSPECTOR)
    const press = { steps: [add(s.salt, '5')], lots: [{ code, pieces: null }], when: { told: 'now' } }
    expect((await inspector.post('/api/steps', press)).status).toBe(403)
    expect((await maker.get('/api/lots/L-9999/puts')).status).toBe(404)
  })
  it('the book walks, and every row fits its record', async () => {
    const check = await must(owner.get('/api/book/check'))
    expect(check).toMatchObject({ broken: null, found: 0 })
  })
})
