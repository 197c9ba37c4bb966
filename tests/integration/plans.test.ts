import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { soakLoss } from '#core/retained/soak-loss'
import { assumedPlan } from '#core/plan/assumed-plan'
import { steadyRhythm, type Plan } from '#core/plan/plan'
import { STARTER_PLANS } from '#core/plan/starters'
import type { Client } from '../support/client'
import { rub, stock, type Stock } from '../support/goods'
import { must } from '../support/must'
import { INSPECTOR, MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let maker: Client
let owner: Client
let s: Stock

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '90 kg' })
})
afterAll(() => shop.close())

const lotOf = async (code: string) => await must(maker.get(`/api/lots/${code}`))
const rubbed = async (plan: Plan | null = null): Promise<string> => (await must(maker.post('/api/lots', rub(s, { plan })))).code
const change = (code: string, plan: unknown, more: object = {}) =>
  maker.post(`/api/lots/${code}/plan`, { plan, pieces: null, reason: 'the fridge is wet', ...more })
const press = (code: string, steps: object[], more: object = {}) =>
  maker.post('/api/steps', { steps, lots: [{ code, pieces: null }], when: { told: 'now' }, ...more })
const tell = (code: string, ...steps: object[]) => press(code, steps)
const BOX = STARTER_PLANS.salt_box_soaked

describe('the plan of a lot', () => {
  it('is the one laid at its rub, with the days of the lot', async () => {
    const code = await rubbed(BOX)
    const lot = await lotOf(code)
    const { end } = lot.plan.plan
    expect(lot.plan).toMatchObject({
      number: 1,
      assumed: false,
      plan: { ...BOX, end: { by: 'hard', fromDay: lot.readyFromDay, toDay: lot.bestByDay } },
    })
    expect([end.fromDay, end.toDay]).toEqual([rub(s).readyFromDay, rub(s).bestByDay])
    const floor = await must(maker.get('/api/floor'))
    expect(floor.lots.find((one: { code: string }) => one.code === code).plan.plan.end.by).toBe('hard')
  })
  it('is assumed where nobody laid one, until somebody says what is meant', async () => {
    const code = await rubbed()
    const lot = await lotOf(code)
    expect(lot.plan).toMatchObject({ number: 0, assumed: true, plan: assumedPlan({ ...lot, method: 'dry' }) })
    expect(await change(code, STARTER_PLANS.bags)).toMatchObject({ status: 409, body: { code: 'plan_alters_past' } })
    const { plan } = lot.plan
    await must(change(code, { ...plan, then: plan.then.filter((item: { kind: string }) => item.kind !== 'heat') }))
    expect((await lotOf(code)).plan).toMatchObject({ number: 1, assumed: false, reason: 'the fridge is wet' })
  })
  it('changes on the way with a reason, from tomorrow on, and comes back when the change is voided', async () => {
    const code = await rubbed(STARTER_PLANS.rack)
    const { plan } = (await lotOf(code)).plan
    const rhythm = [...plan.cure.rhythm, { fromDay: 1, everyDays: 2, how: 'turned' }]
    const done = await must(change(code, { ...plan, cure: { ...plan.cure, rhythm } }))
    expect(done).toMatchObject({ number: 2 })
    expect((await lotOf(code)).plan.plan.cure.rhythm).toEqual(rhythm)
    const { events } = await lotOf(code)
    expect(events.find((event: { kind: string }) => event.kind === 'plan_changed')).toMatchObject({
      reason: 'the fridge is wet',
      computed: { before: plan },
    })
    await must(maker.post(`/api/events/${done.eventId}/undo`, {}))
    expect((await lotOf(code)).plan).toMatchObject({ number: 1, plan })
    // Voided numbers are not given again.
    expect(await must(change(code, plan))).toMatchObject({ number: 3 })
  })
  it('pieces that go a way of their own keep it when the lot\'s changes', async () => {
    const code = await rubbed(STARTER_PLANS.rack)
    const { pieces, plan } = await lotOf(code)
    const own = { ...plan.plan, then: STARTER_PLANS.no_smoke.then }
    await must(change(code, own, { pieces: [pieces[1].id] }))
    await must(change(code, { ...plan.plan, cure: { ...plan.plan.cure, looks: [3] } }))
    const lot = await lotOf(code)
    expect(lot.plan.plan.cure.looks).toEqual([3])
    expect(lot.piecePlans).toMatchObject([{ pieces: [pieces[1].id], plan: own }])
    expect(await change(code, own, { pieces: [999_999] })).toMatchObject({ body: { code: 'no_such_piece' } })
  })
  it('smoke on a wet surface is asked about, and taken when it is meant', async () => {
    const code = await rubbed(STARTER_PLANS.rack)
    const { plan } = (await lotOf(code)).plan
    const wet = { ...plan, then: plan.then.filter((item: { kind: string }) => item.kind !== 'dry') }
    expect(await change(code, wet)).toMatchObject({ status: 422, body: { code: 'smoke_on_wet' } })
    expect(await change(code, wet, { sure: true })).toMatchObject({ status: 200 })
  })
  it.each<[string, unknown, string]>([
    ['a rhythm that begins on no day', { ...BOX, cure: { ...BOX.cure, rhythm: [] } }, 'plan.cure.rhythm'],
    ['a look after its end', { ...BOX, cure: { ...BOX.cure, looks: [60] } }, 'plan.cure.looks'],
    ['smoke after slicing', { ...BOX, then: [{ kind: 'slice' }, { kind: 'heat', how: 'hot', sessions: 1, hours: null }] }, 'plan.then'],
    ['hours the wrong way round', { ...BOX, then: [{ kind: 'rest', how: 'open', hours: { from: 5, to: 2 } }] }, 'plan.then.0.hours.to'],
    ['an item that is none', { ...BOX, then: [{ kind: 'fly' }] }, 'plan.then.0.kind'],
    ['a thousand items', { ...BOX, then: Array.from({ length: 1000 }, () => ({ kind: 'freeze' })) }, 'plan.then'],
    ['no plan at all', null, 'plan'],
  ])('%s is refused where it stands', async (_what, plan, path) => {
    const code = await rubbed(BOX)
    const { status, body } = await change(code, plan)
    expect(status).toBe(422)
    expect(body.errors.map((error: { path: string[] }) => error.path.join('.'))).toContain(path)
    expect((await lotOf(code)).plan.number).toBe(1)
  })
  it('without a reason, by an inspector, or of a lot that is not there it is refused', async () => {
    const code = await rubbed(BOX)
    expect(await change(code, BOX, { reason: ' ' })).toMatchObject({ status: 422 })
    expect(await change('L-9999', BOX)).toMatchObject({ status: 404, body: { code: 'no_such_lot' } })
    const inspector = await shop.signedIn(INSPECTOR)
    const body = { plan: BOX, pieces: null, reason: 'to look' }
    expect(await inspector.post(`/api/lots/${code}/plan`, body)).toMatchObject({ status: 403 })
  })
})

describe('after the cure', () => {
  const SOAK = { kind: 'soak', minutes: 45, litres: '10', water: { typed: '8', unit: 'C' }, changes: 1 }
  it('out and rinsed, soaked, tasted, rested, dried and touched: told, shown, and told in the book', async () => {
    const code = await rubbed(BOX)
    await must(tell(code, { kind: 'out', rinses: 3 }, { kind: 'soak', minutes: null, litres: null, water: null, changes: 0 }))
    expect((await lotOf(code)).pieces.map((piece: { stage: string }) => piece.stage)).toEqual(['soak', 'soak'])
    await must(tell(code, { kind: 'fry_test', salt: 4, verdict: 'again' }))
    // Within ten minutes of the first it is asked about.
    await must(press(code, [{ ...SOAK, minutes: null }], { again: true }))
    await must(tell(code, { kind: 'rest', minutes: null, how: 'open', placeId: null }))
    await must(tell(code, { kind: 'dry', minutes: null, how: 'fan', placeId: null }))
    await must(tell(code, { kind: 'look', feel: null, surface: 'tacky', note: null }))
    const lot = await lotOf(code)
    expect(lot.did.map((step: { kind: string }) => step.kind)).toEqual(['out', 'soak', 'fry_test', 'soak', 'rest', 'dry', 'look'])
    expect(lot.did.at(-1)).toMatchObject({ surface: 'tacky' })
    expect(lot.pieces[0]).toMatchObject({ stage: 'dry' })
    expect((await must(maker.get('/api/floor'))).lots.find((one: { code: string }) => one.code === code).did).toHaveLength(7)
  })
  it('a taste without a soak is asked about, and taken where it was so; a soak of other pieces is none', async () => {
    const code = await rubbed(BOX)
    await must(tell(code, { kind: 'out', rinses: 3 }))
    const fry = { kind: 'fry_test', salt: 3, verdict: 'done' }
    expect(await tell(code, fry)).toMatchObject({ status: 422, body: { code: 'fry_without_soak' } })
    const { pieces } = await lotOf(code)
    const ofOne = (i: number) => ({ lots: [{ code, pieces: [pieces[i].id] }] })
    await must(press(code, [{ ...SOAK, minutes: null }], ofOne(0)))
    expect(await press(code, [fry], ofOne(1))).toMatchObject({ body: { code: 'fry_without_soak' } })
    await must(press(code, [fry], ofOne(0)))
    await must(press(code, [{ ...fry, sure: true }], ofOne(1)))
    // Told in one press with its soak there is nothing to ask.
    const other = await rubbed(BOX)
    await must(tell(other, { kind: 'out', rinses: 3 }))
    await must(tell(other, { ...SOAK, minutes: null }, fry))
  })
  it('a soak takes of what stayed by a curve, a longer one more, and a void gives it back', async () => {
    const code = await rubbed(BOX)
    await must(tell(code, { kind: 'out', rinses: 0 }))
    const before = (await lotOf(code)).judgement.stayed.leastPpm
    const short = await tell(code, { ...SOAK, minutes: 45 })
    // It began before it came out: told with the hour at which it ended, it contradicts.
    expect(short).toMatchObject({ status: 409, body: { code: 'step_contradicts' } })
    const earlier = (kind: string, hours: number) =>
      shop.sql(
        `UPDATE steps s JOIN lots l ON l.id = s.lot_id SET s.from_at = s.from_at - INTERVAL ${hours} HOUR,
          s.to_at = s.to_at - INTERVAL ${hours} HOUR WHERE l.code = '${code}' AND s.kind = '${kind}'`,
      )
    await earlier('rub', 200)
    await earlier('out', 3)
    await must(tell(code, SOAK))
    const soaked = (await lotOf(code)).judgement.stayed
    // Six tenths of 40 mm, 45 minutes at 8 °C, some 200 hours after the rub.
    const lost = soakLoss({ ms: 45 * 60_000, waterC: 8, thicknessMm: 24, curedMs: 200 * 3_600_000, oneFace: false })
    expect(soaked.leastPpm).toBeCloseTo(before * (1 - lost), 1)
    // Another tablet tells the same soak: it began at the same hour.
    expect(await tell(code, SOAK)).toMatchObject({ status: 409, body: { code: 'told_already' } })
    const long = await must(press(code, [{ ...SOAK, minutes: 90 }], { when: { told: 'ago', minutes: 60 }, again: true }))
    const longer = (await lotOf(code)).judgement.stayed.leastPpm
    expect(longer).toBeLessThan(soaked.leastPpm)
    expect(longer).toBeGreaterThan(before / 2)
    await must(owner.post(`/api/events/${long.eventId}/undo`, {}))
    expect((await lotOf(code)).judgement.stayed.leastPpm).toBeCloseTo(soaked.leastPpm, 6)
  })
  it.each<[string, object, string]>([
    ['a taste of six', { kind: 'fry_test', salt: 6, verdict: 'done' }, 'steps.0.salt'],
    ['water as words', { ...SOAK, litres: 'a bucket' }, 'steps.0.litres'],
    ['minus ten minutes', { ...SOAK, minutes: -10 }, 'steps.0.minutes'],
    ['a way to dry that is none', { kind: 'dry', minutes: null, how: 'prayed', placeId: null }, 'steps.0.how'],
  ])('%s is refused where it stands', async (_what, step, path) => {
    const { status, body } = await tell(await rubbed(BOX), step)
    expect(status).toBe(422)
    expect(body.errors[0].path.join('.')).toBe(path)
  })
  it('into a place that is none, or while it cures, it is refused', async () => {
    const code = await rubbed(BOX)
    expect(await tell(code, {
      kind: 'rest',
      minutes: null,
      how: 'open',
      placeId: null,
    })).toMatchObject({ body: { code: 'step_contradicts' } })
    await must(tell(code, { kind: 'out', rinses: 0 }))
    expect(await tell(code, {
      kind: 'rest',
      minutes: null,
      how: 'open',
      placeId: 99_999,
    })).toMatchObject({ body: { code: 'no_such_place' } })
  })
  it('the rhythm of a plan ties the twine: never turned misses none', async () => {
    const code = await rubbed({ ...BOX, cure: { ...BOX.cure, rhythm: steadyRhythm(null) } })
    expect((await lotOf(code)).plan.plan.cure.rhythm).toEqual(steadyRhythm(null))
  })
})
