import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { celsius, rub, stock, type Stock } from '../support/goods'
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

interface One {
  id: number
  name: string
  kind: string
  state: string
  offsetC: number
  checks: unknown[]
}
const instruments = async (): Promise<One[]> => (await maker.get('/api/office/instruments')).body.instruments
const named = async (name: string) => (await instruments()).find(one => one.name === name)!
const check = (id: number, body: Record<string, unknown>) =>
  maker.post(`/api/instruments/${id}/checks`, { note: null, ...body })
const fridge = async () => (await maker.get('/api/floor')).body.places[0]

describe('checks', () => {
  it('of a scale: passed, then not; a thermometer\'s check is refused for it', async () => {
    const { id } = await named('Meat scale')
    expect((await named('Meat scale')).state).toBe('never')
    expect((await check(id, { method: 'check_weight', reference: '2 kg', read: '2005' })).body).toMatchObject({
      passed: true,
    })
    expect((await named('Meat scale')).state).toBe('checked')
    expect((await check(id, { method: 'check_weight', reference: '2 kg', read: '2010' })).body).toMatchObject({
      passed: false,
    })
    expect((await named('Meat scale')).state).toBe('failed')
    expect(await check(id, { method: 'ice_point', read: celsius('0.2') })).toMatchObject({
      status: 422,
      body: { code: 'wrong_check' },
    })
    const { body } = await check(id, { method: 'check_weight', reference: '2 kg', read: '2 kg' })
    expect((await maker.get('/api/events')).body[0]).toMatchObject({
      id: body.eventId,
      kind: 'instrument_checked',
      computed: { error: 0, allowed: 5, passed: true },
    })
  })
  it('of a thermometer: its offset is taken off every reading, and shown', async () => {
    const { id } = await named('Cold-room thermometer')
    expect((await check(id, { method: 'ice_point', read: celsius('33.8 F') })).body).toMatchObject({
      passed: true,
      offsetC: expect.closeTo(1, 9),
    })
    await maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('4.6') })
    expect((await fridge()).readings.at(-1)).toMatchObject({
      tempC: 3.6,
      offsetC: 1,
      instrument: { name: 'Cold-room thermometer', state: 'checked' },
    })
    expect((await maker.get('/api/events')).body[0]).toMatchObject({
      kind: 'place_read',
      typed: { temperature: '4.6 °C' },
      computed: { readC: 4.6, tempC: expect.closeTo(3.6, 9), offsetC: 1 },
    })
    // A correction of the reading is of what was read: the same offset comes off.
    const reading = (await fridge()).readings.at(-1)
    await maker.post('/api/corrections', {
      what: 'fridge_reading',
      id: reading.id,
      value: celsius('5'),
      reason: 'misread',
    })
    expect((await fridge()).readings.at(-1).tempC).toBe(4)
  })
  it('one more than 2 °C off fails, and its offset is not taken over; undo gives the offset before', async () => {
    const { id } = await named('Cold-room thermometer')
    const failed = await check(id, { method: 'ice_point', read: celsius('2.6') })
    expect(failed.body).toMatchObject({ passed: false, offsetC: 0 })
    expect(await named('Cold-room thermometer')).toMatchObject({ state: 'failed', offsetC: 1 })
    await maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('3') })
    expect((await fridge()).readings.at(-1).instrument.state).toBe('failed')
    await maker.post(`/api/events/${failed.body.eventId}/undo`, {})
    const right = await check(id, { method: 'reference', reference: celsius('3.1'), read: celsius('3.2') })
    expect(await named('Cold-room thermometer')).toMatchObject({ state: 'checked', offsetC: 0 })
    await maker.post(`/api/events/${right.body.eventId}/undo`, {})
    expect(await named('Cold-room thermometer')).toMatchObject({ state: 'checked', offsetC: 1 })
  })
})

it('a reading from an overdue instrument is marked wherever it is shown, and only from then on', async () => {
  const { code } = (await maker.post('/api/lots', rub(s))).body
  expect((await maker.get(`/api/lots/${code}`)).body).toMatchObject({
    meatScale: { state: 'checked' },
    mixScale: { name: 'Fine scale', state: 'never' },
  })
  // The last check grows old: 31 days, with one due every 30.
  await shop.sql('UPDATE instrument_checks SET at = at - INTERVAL 31 DAY')
  const late = (await maker.post('/api/lots', rub(s))).body.code
  expect((await maker.get(`/api/lots/${late}`)).body.meatScale).toMatchObject({ name: 'Meat scale', state: 'overdue' })
  await maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('4') })
  expect((await fridge()).readings.at(-1).instrument).toMatchObject({ state: 'overdue' })
  const [told] = (await maker.get('/api/events')).body
  expect(told).toMatchObject({ kind: 'place_read', marks: [{ name: 'Cold-room thermometer', state: 'overdue' }] })
  expect(
    (await maker.get('/api/bench')).body.scales.find((scale: { purpose: string }) => scale.purpose === 'meat').state,
  ).toBe('overdue')
  expect((await maker.get('/api/floor')).body.instruments.find((one: One) => one.name === 'Meat scale').state).toBe(
    'overdue',
  )
})

it('a smoke\'s probe has its offset taken off, by hand and by file', async () => {
  const { id } = await named('Probe')
  await check(id, { method: 'ice_point', read: celsius('-0.8') })
  const { code } = (await maker.post('/api/lots', rub(s))).body
  await maker.post(`/api/lots/${code}/out`, {})
  const pieceIds = (await maker.get(`/api/lots/${code}`)).body.pieces.map((p: { id: number }) => p.id)
  expect(
    await maker.post('/api/runs', { smoker: 'Smoker', pieceIds, targetCore: celsius('63'), coreThermometerId: 999 }),
  ).toMatchObject({ body: { code: 'no_such_thermometer' } })
  const run = (
    await maker.post('/api/runs', { smoker: 'Smoker', pieceIds, targetCore: celsius('63'), coreThermometerId: id })
  ).body.code
  const now = Date.now()
  await maker.post(`/api/runs/${run}/readings`, {
    phase: 'smoke',
    source: 'csv',
    readings: [{ atMs: now, chamber: celsius('80'), core: celsius('62.5') }],
  })
  const [reading] = (await maker.get(`/api/runs/${run}`)).body.readings
  expect(reading).toMatchObject({
    coreC: 63.3,
    coreOffsetC: -0.8,
    chamberC: 80,
    chamberOffsetC: 0,
    core: { name: 'Probe', state: 'checked' },
    chamber: null,
  })
})

describe('the Office', () => {
  it('adds instruments and fridges; a maker may check but not add', async () => {
    const thermometer = {
      kind: 'thermometer',
      name: 'Second probe',
      readability: { typed: '0.9', unit: 'F' },
      everyDays: 14,
    }
    expect(await maker.post('/api/office/instruments', thermometer)).toMatchObject({ status: 403 })
    const { id } = (await owner.post('/api/office/instruments', thermometer)).body
    expect((await instruments()).find(one => one.id === id)).toMatchObject({ readability: 0.5, state: 'never' })
    const added = await owner.post('/api/office/fridges', { name: 'Second fridge', thermometerId: id })
    expect(added.status).toBe(200)
    expect(await owner.post('/api/office/fridges', { name: 'Second fridge', thermometerId: null })).toMatchObject({
      body: { code: 'name_taken' },
    })
    expect(
      await owner.send('PUT', `/api/office/places/${added.body.id}`, { name: 'Ripening fridge', kind: 'fridge' }),
    ).toMatchObject({ status: 200 })
    expect(
      await owner.send('PUT', `/api/office/instruments/${id}`, { name: 'Old probe', everyDays: 7, inUse: false }),
    ).toMatchObject({ status: 200 })
    expect((await maker.get('/api/floor')).body.instruments.some((one: One) => one.id === id)).toBe(false)
  })
})
