import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { celsius, ingredient, meat, rub, stock, type Stock } from '../support/goods'
import { MAKER, openTestShop, OWNER, type TestShop, today } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let s: Stock
const MINUTE = 60_000

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '120 kg' })
})
afterAll(() => shop.close())

const rubbed = async (more: Record<string, unknown> = {}): Promise<{ code: string; ids: number[] }> => {
  const { code } = (await maker.post('/api/lots', rub(s, more))).body
  return { code, ids: (await maker.get(`/api/lots/${code}`)).body.pieces.map((p: { id: number }) => p.id) }
}
const taken = async (more: Record<string, unknown> = {}) => {
  const lot = await rubbed(more)
  await maker.post(`/api/lots/${lot.code}/out`, {})
  return lot
}
const smoked = async (ids: number[], target = '60') =>
  (await maker.post('/api/runs', { smoker: 'Smoker', pieceIds: ids, targetCore: celsius(target) })).body.code as string
const read = (run: string, phase: 'smoke' | 'cool', points: [minutesAgo: number, core: string][]) =>
  maker.post(`/api/runs/${run}/readings`, {
    phase,
    source: 'hand',
    readings: points.map(([ago, core]) => ({ atMs: Date.now() - ago * MINUTE, chamber: null, core: celsius(core) })),
  })

describe('the Store', () => {
  it('counts what is left as lots take from it', async () => {
    const [code] = (await maker.post('/api/deliveries', meat({ weight: '10 lb' }))).body.meatCodes
    await maker.post('/api/lots', rub(s, { pieces: [{ meatCode: code, weight: '3.84 kg' }] }))
    const found = (await maker.get('/api/store')).body.meat.find((m: { code: string }) => m.code === code)
    expect(found).toMatchObject({ weightTyped: '10 lb', usedG: 3840 })
    expect(found.weightG).toBeCloseTo(4535.9237, 4)
  })
  it('knows potassium nitrite by its own molar mass', async () => {
    const { code } = (
      await maker.post(
        '/api/ingredients',
        ingredient('curing_salt', {
          certificate: { number: 'K', nitritePercent: '6.25', nitriteAs: 'KNO2', tolerancePercent: '0' },
        }),
      )
    ).body
    const lot = (await maker.post('/api/lots', rub(s, { agent: { lotCode: code, weighed: '11.2' } }))).body.code
    const { judgement } = (await maker.get(`/api/lots/${lot}`)).body
    expect(judgement.lot.ppm).toBeCloseTo((1e6 * 11.2 * 0.0625 * (68.995 / 85.104)) / 3840, 6)
  })
  it('refuses salt where curing salt belongs, and what is not there', async () => {
    expect(await maker.post('/api/lots', rub(s, { agent: { lotCode: s.salt, weighed: '9.2' } }))).toMatchObject({
      body: { code: 'wrong_ingredient', errors: [{ path: ['agent', 'lotCode'] }] },
    })
    expect(await maker.post('/api/lots', rub(s, { salt: { lotCode: 'N-9999', weighed: '90' } }))).toMatchObject({
      body: { code: 'no_such_ingredient' },
    })
    expect(await maker.post('/api/lots', rub(s, { pieces: [{ meatCode: 'M-9999', weight: '2 kg' }] }))).toMatchObject({
      body: { code: 'no_such_meat' },
    })
    expect(await maker.post('/api/lots', rub(s, { fridgeId: 999 }))).toMatchObject({ body: { code: 'no_such_fridge' } })
    expect(await maker.post('/api/lots', rub(s, { mixScaleId: 999 }))).toMatchObject({
      body: { code: 'no_such_scale' },
    })
    expect(await maker.post('/api/lots', rub(s, { salt: { lotCode: s.salt, weighed: '20 kg' } }))).toMatchObject({
      body: { code: 'ingredient_used_up' },
    })
  })
  it('rind that is not there cannot be claimed', async () =>
    expect(await maker.post('/api/lots', rub(s, { rind: 'on' }))).toMatchObject({ body: { code: 'rind_mismatch' } }))
})

describe('the Smokehouse', () => {
  it('holds pieces of several lots; each cools by the nitrite that stayed in it', async () => {
    const cured = await taken()
    const drained = await rubbed()
    await maker.post(`/api/lots/${drained.code}/drained`, {})
    await maker.post(`/api/lots/${drained.code}/out`, {})
    const plain = await taken({ method: 'salt_only', agent: null, salt: { lotCode: s.salt, weighed: '115' } })
    const run = await smoked([...cured.ids, ...drained.ids, ...plain.ids])
    await shop.sql('UPDATE runs SET started_at = started_at - INTERVAL 5 HOUR WHERE code = ?', [run])
    await read(run, 'smoke', [
      [290, '9'],
      [270, '40'],
      [250, '58'],
      [240, '62'],
    ])
    await maker.post(`/api/runs/${run}/pull`, {})
    await shop.sql('UPDATE runs SET pulled_at = pulled_at - INTERVAL 4 HOUR WHERE code = ?', [run])
    // From 54.4 to 26.7 °C in about two hours: in time for cured pieces, too slow for the others.
    await read(run, 'cool', [
      [220, '53'],
      [190, '48'],
      [160, '42'],
      [130, '36'],
      [115, '30'],
      [100, '26'],
      [75, '18'],
      [50, '12'],
      [30, '8'],
      [10, '4'],
    ])
    expect((await maker.get(`/api/lots/${cured.code}`)).body.openHolds).toEqual([])
    for (const { code } of [drained, plain])
      expect((await maker.get(`/api/lots/${code}`)).body.openHolds).toEqual(['cooling_late'])
    expect((await maker.get(`/api/runs/${run}`)).body.lots).toMatchObject([
      { code: cured.code, held: false, leastPpm: expect.closeTo(145, -1), leastWhy: null },
      { code: drained.code, held: true, leastPpm: null, leastWhy: 'early' },
      { code: plain.code, held: true, leastPpm: null, leastWhy: null },
    ])
  })
  it('two lots in one smoke do not stand in each other\'s thread', async () => {
    const [one, two] = [await taken(), await taken()]
    const run = await smoked([...one.ids, ...two.ids])
    const thread = (await maker.get(`/api/thread/${one.code}`)).body.nodes.map((n: { code: string }) => n.code)
    expect(thread).toContain(run)
    expect(thread).not.toContain(two.code)
    expect((await maker.get(`/api/thread/${run}`)).body.nodes.map((n: { code: string }) => n.code)).toEqual(
      expect.arrayContaining([one.code, two.code]),
    )
  })
  it('a piece is in one smoke at a time, and a target that was not reached holds the lot', async () => {
    const lot = await taken()
    const run = await smoked(lot.ids, '66')
    expect(await maker.post('/api/runs', { smoker: 'Smoker', pieceIds: lot.ids, targetCore: celsius('60') })).toMatchObject({
      body: { code: 'already_in_smoke' },
    })
    expect(await read(run, 'cool', [[0, '50']])).toMatchObject({ body: { code: 'not_pulled' } })
    await read(run, 'smoke', [
      [20, '8'],
      [0, '58'],
    ])
    expect((await maker.post(`/api/runs/${run}/pull`, {})).body.outcome).toBe('raw_smoked')
    expect(await maker.post(`/api/runs/${run}/pull`, {})).toMatchObject({
      status: 409,
      body: { code: 'already_pulled' },
    })
    expect((await maker.get(`/api/lots/${lot.code}`)).body.openHolds).toEqual(['target_not_reached'])
  })
  it('a batch with one bad row leaves nothing behind', async () => {
    const lot = await taken()
    const run = await smoked(lot.ids)
    expect(
      await read(run, 'smoke', [
        [10, '20'],
        [-30, '25'],
      ]),
    ).toMatchObject({ body: { code: 'in_the_future', errors: [{ path: ['readings', 1, 'atMs'] }] } })
    expect(await read(run, 'smoke', [[100, '20']])).toMatchObject({ body: { code: 'before_the_start' } })
    expect((await maker.get(`/api/runs/${run}`)).body.readings).toEqual([])
    expect(
      await maker.post(`/api/runs/${run}/readings`, {
        phase: 'smoke',
        source: 'hand',
        readings: [{ atMs: Date.now(), chamber: null, core: null }],
      }),
    ).toMatchObject({ body: { errors: [{ code: 'reading_empty' }] } })
    expect(await read(run, 'smoke', [[0, '901']])).toMatchObject({ body: { errors: [{ code: 'temperature_range' }] } })
  })
  it('a corrected core is judged again', async () => {
    const lot = await taken()
    const run = await smoked(lot.ids, '63')
    await read(run, 'smoke', [
      [15, '8'],
      [0, '63.4'],
    ])
    await maker.post(`/api/runs/${run}/pull`, {})
    const reading = (await maker.get(`/api/runs/${run}`)).body.readings.at(-1)
    await maker.post('/api/corrections', {
      what: 'core_reading',
      id: reading.id,
      value: celsius('60.4'),
      reason: '63.4 was the other probe',
    })
    expect((await maker.get(`/api/lots/${lot.code}`)).body.openHolds).toEqual(['target_not_reached'])
    expect((await maker.get(`/api/runs/${run}`)).body.readings.at(-1)).toMatchObject({
      coreC: 60.4,
      typed: ' | 60.4 °C',
    })
  })
})

describe('the Slicing table', () => {
  it('unsmoked bacon may be sliced; a belly heavier than it came in is held', async () => {
    const lot = await taken()
    const slicing = (readyWeight: string | null, packs: string[]) =>
      maker.post(`/api/lots/${lot.code}/slicing`, {
        readyWeight,
        packedOn: today(),
        packs: packs.map(weight => ({ kind: 'sliced', weight })),
        offcuts: [],
      })
    expect(await slicing(null, ['250'])).toMatchObject({ body: { code: 'ready_weight_missing' } })
    expect(await slicing(null, [])).toMatchObject({ body: { errors: [{ code: 'nothing_to_record' }] } })
    expect((await slicing('3.9 kg', ['250'])).status).toBe(200)
    expect((await maker.get(`/api/lots/${lot.code}`)).body.openHolds).toEqual(['over_green_weight'])
    expect(await slicing(null, ['250'])).toMatchObject({ body: { code: 'lot_held' } })
  })
  it('a corrected pack weight shows in the yield; unknown packs are not sent', async () => {
    const lot = await taken()
    await maker.post(`/api/lots/${lot.code}/slicing`, {
      readyWeight: '3.6 kg',
      packedOn: today(),
      packs: [{ kind: 'ends', weight: '300' }],
      offcuts: [],
    })
    const [pack] = (await maker.get(`/api/lots/${lot.code}`)).body.packList
    await maker.post('/api/corrections', { what: 'pack_weight', id: pack.id, value: '280', reason: 'bag not tared' })
    expect((await maker.get(`/api/lots/${lot.code}`)).body.packsG).toBe(280)
    await owner.post('/api/office/rules', { confirmedBy: 'Ada', confirmedOn: '2026-11-23', reference: 'folder' })
    const inFridge = async () =>
      (await maker.get('/api/packs/unsent')).body.filter((one: { code: string }) => one.code === pack.code)
    expect(await inFridge()).toEqual([
      { code: pack.code, lot: lot.code, cut: 'belly', kind: 'ends', netG: 280, packedOn: today(), cameBack: false },
    ])
    expect(
      await maker.post('/api/dispatches', { customer: 'C', sentOn: today(), packCodes: [pack.code, 'P-9999'] }),
    ).toMatchObject({ body: { code: 'no_such_pack' } })
    expect((await maker.get(`/api/lots/${lot.code}`)).body.unsent).toBe(1)
    const sent = { customer: 'C', sentOn: today(), packCodes: [pack.code] }
    expect((await maker.post('/api/dispatches', sent)).status).toBe(200)
    expect(await inFridge()).toEqual([])
  })
})

describe('the Office', () => {
  it('keeps each person\'s way of writing, and the owner\'s alone to add people', async () => {
    const us = { mass: 'us', temperature: 'F', decimal: '.', dates: 'mdy' }
    expect((await maker.send('PUT', '/api/me/notation', us)).status).toBe(200)
    expect((await maker.get('/api/session')).body.user.notation).toEqual(us)
    expect((await owner.get('/api/session')).body.user.notation.mass).toBe('metric')
    const person = { name: 'Eli', initials: 'E', signIn: 'eli', password: 'long enough it is', role: 'maker' }
    expect((await maker.post('/api/office/people', person)).status).toBe(403)
    expect((await owner.post('/api/office/people', person)).status).toBe(200)
    expect(await owner.post('/api/office/people', person)).toMatchObject({ body: { code: 'sign_in_taken' } })
    expect(JSON.stringify((await maker.get('/api/office/people')).body)).not.toContain('scrypt')
  })
  it('a coarser scale changes what a weighing can show', async () => {
    const { id } = (
      await owner.post('/api/office/instruments', {
        kind: 'scale',
        name: 'Kitchen scale',
        purpose: 'mix',
        readabilityG: '1',
        everyDays: 30,
      })
    ).body
    const { code } = await rubbed({
      mixScaleId: id,
      pieces: [{ meatCode: s.meat, weight: '1840' }],
      agent: { lotCode: s.agent, weighed: '4' },
      salt: { lotCode: s.salt, weighed: '40' },
      sugar: null,
    })
    const lot = (await maker.get(`/api/lots/${code}`)).body
    expect(lot.judgement.status).toBe('floor_not_shown')
    expect(lot.judgement.lot.lowPpm).toBeLessThan(120)
    expect(lot.openHolds).toEqual(['floor_not_shown'])
  })
})
