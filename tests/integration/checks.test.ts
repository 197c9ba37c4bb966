import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { must } from '../support/must'
import { rub, stock } from '../support/goods'
import { INSPECTOR, MAKER, openTestShop, OWNER, type TestShop, today } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let smokerId: number
let smoker: string
let pieces: number[]
let code: string

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  code = (await must(maker.post('/api/lots', rub(await stock(maker))))).code
  pieces = (await must(maker.get(`/api/lots/${code}`))).pieces.map((piece: { id: number }) => piece.id)
  await must(maker.post('/api/steps', { steps: [{ kind: 'out', rinses: 1 }], lots: [{ code, pieces: null }], when: { told: 'now' } }))
  const { places } = await must(owner.get('/api/office/places'))
  const found = places.find((place: { uses: string[] }) => place.uses.includes('heat'))
  smokerId = found.id
  smoker = found.name
})
afterAll(() => shop.close())

const list = (more: object = {}) => ({
  name: 'Smoker looked into',
  placeId: smokerId,
  items: ['drip tray', 'soot'],
  asked: 'before_heat',
  goodForHours: 24,
  ...more,
})
const listsOf = async () => (await must(maker.get('/api/check-lists'))).lists
const start = (more: object = {}) =>
  maker.post('/api/runs', {
    smoker,
    pieceIds: [pieces[0]],
    targetCore: { typed: '63', unit: 'C' },
    coreThermometerId: null,
    chamberThermometerId: null,
    ...more,
  })
const check = (id: number, more: object = {}) => maker.post(`/api/check-lists/${id}/checks`, {
  done: [0, 1],
  cleanedWith: null,
  note: null,
  ...more,
})
const slicing = { readyWeight: '1.7 kg', packedOn: today(), scaleId: null, packs: [], offcuts: [] }

describe('lists before use', () => {
  it('are the owner\'s to make, with a name of their own, something on them, and a place that is there', async () => {
    const { id } = await must(owner.post('/api/office/check-lists', list()))
    expect(await maker.post('/api/office/check-lists', list({ name: 'Mine' }))).toMatchObject({ status: 403 })
    expect(await owner.post('/api/office/check-lists', list())).toMatchObject({ status: 422, body: { code: 'name_taken' } })
    expect(await owner.post('/api/office/check-lists', list({ name: 'Empty', items: [] }))).toMatchObject({ status: 422 })
    expect(await owner.post(
      '/api/office/check-lists',
      list({ name: 'Nowhere', placeId: 99_999 }),
    )).toMatchObject({ body: { code: 'no_such_place' } })
    expect(await owner.post('/api/office/check-lists', list({ name: 'Soon', goodForHours: 0 }))).toMatchObject({ status: 422 })
    expect(await listsOf()).toMatchObject([{ id, state: 'never_done', last: null, place: { id: smokerId } }])
  })
  it('are asked for before a heat in their place, and it starts once they were gone through', async () => {
    const [{ id }] = await listsOf()
    expect(await start()).toMatchObject({
      status: 422,
      body: { code: 'not_checked', detail: expect.stringContaining('Smoker looked into') },
    })
    expect(await check(id, { done: [0] })).toMatchObject({
      status: 422,
      body: { code: 'check_partly', detail: expect.stringContaining('soot') },
    })
    expect(await check(id, { done: [0, 7], note: 'x' })).toMatchObject({ status: 409, body: { code: 'list_changed' } })
    expect(await check(id, { done: [0, 0], note: 'x' })).toMatchObject({ status: 422 })
    await must(check(id, { done: [0], note: 'no brush here' }))
    expect((await listsOf())[0]).toMatchObject({ state: 'open', last: { passed: false, missing: ['soot'], note: 'no brush here' } })
    expect(await start()).toMatchObject({ body: { code: 'not_checked' } })
    const done = await must(check(id, { cleanedWith: 'hot water' }))
    expect((await listsOf())[0].state).toBe('good')
    await must(start())
    // Voided, it is asked for again; as it stood before.
    await must(owner.post(`/api/events/${done.eventId}/void`, { reason: 'the wrong smoker' }))
    expect((await listsOf())[0].state).toBe('open')
  })
  it('hold so many hours, and no longer', async () => {
    const [{ id }] = await listsOf()
    await must(check(id))
    await shop.sql('UPDATE place_checks SET at = at - INTERVAL 25 HOUR')
    expect((await listsOf())[0].state).toBe('over')
    await shop.sql('UPDATE place_checks SET at = at + INTERVAL 25 HOUR')
  })
  it('of a tool before slicing; it goes on without when somebody says so, and the record says it', async () => {
    await must(owner.post('/api/office/check-lists', list({ name: 'Slicer', placeId: null, items: ['blade'], asked: 'before_slicing' })))
    const other = (await must(maker.post('/api/lots', rub(await stock(maker))))).code
    await must(maker.post('/api/steps', {
      steps: [{ kind: 'out', rinses: 1 }],
      lots: [{ code: other, pieces: null }],
      when: { told: 'now' },
    }))
    expect(await maker.post(`/api/lots/${other}/slicing`, slicing)).toMatchObject({ body: { code: 'not_checked' } })
    await must(maker.post(`/api/lots/${other}/slicing`, { ...slicing, unchecked: true }))
    const { events } = await must(maker.get(`/api/lots/${other}`))
    expect(events.find((event: { kind: string }) => event.kind === 'sliced').typed).toMatchObject({ unchecked: true })
    const slicer = (await listsOf()).find((one: { name: string }) => one.name === 'Slicer')
    const { id, place: _place, state: _state, last: _last, ...kept } = slicer
    await must(check(id, { done: [0] }))
    await must(maker.post(`/api/lots/${other}/slicing`, slicing))
    // What came onto the list since was not looked at.
    await must(owner.put(`/api/office/check-lists/${id}`, { ...kept, placeId: null, items: ['blade', 'guard'] }))
    expect(await maker.post(`/api/lots/${other}/slicing`, slicing)).toMatchObject({ body: { code: 'not_checked' } })
    await must(owner.put(`/api/office/check-lists/${id}`, { ...kept, placeId: null, inUse: false }))
    await must(maker.post(`/api/lots/${other}/slicing`, slicing))
  })
  it('are read by an inspector and gone through by none', async () => {
    const inspector = await shop.signedIn(INSPECTOR)
    const { lists } = await must(inspector.get('/api/check-lists'))
    expect(lists).toHaveLength(2)
    expect(await inspector.post(`/api/check-lists/${lists[0].id}/checks`, {
      done: [0, 1],
      cleanedWith: null,
      note: null,
    })).toMatchObject({ status: 403 })
    expect(await check(99_999)).toMatchObject({ status: 404, body: { code: 'no_such_list' } })
    expect(await must(owner.get('/api/book/check'))).toMatchObject({ broken: null, found: 0 })
  })
})
