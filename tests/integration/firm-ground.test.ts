import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { celsius } from '../support/goods'
import { must } from '../support/must'
import { lotIn, lotOut, move, openRoom, packed, press, slicing, smallRub, type Room } from '../support/races/room'
import { MAKER, openTestShop, OWNER, today, type TestShop } from '../support/shop'

let shop: TestShop
let room: Room
let owner: Client
let maker: Client

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  await must(owner.post('/api/office/rules', { confirmedBy: 'Ada', confirmedOn: '2026-11-23', reference: 'folder' }))
  room = await openRoom(owner, maker)
})
afterAll(() => shop.close())

const lotOf = async (code: string) => must(maker.get(`/api/lots/${code}`))
const send = (packCodes: string[], more: Record<string, unknown> = {}) =>
  maker.post('/api/dispatches', { customer: 'Corner shop', sentOn: today(), packCodes, ...more })
const saltOnly = () => ({
  agent: null,
  sugar: null,
  targets: { saltShare: '3', sugarShare: '0', saltBasis: 'total', nitritePpm: '0' },
  salt: { lotCode: room.s.salt, weighed: '30' },
})
const readAt = (placeId: number, typed: string) =>
  must(maker.post(`/api/places/${placeId}/readings`, { temperature: celsius(typed), humidity: null }))

describe('a press for several lots', () => {
  it('is one cut of one piece of one lot', async () => {
    const [a, b] = [await lotIn(room), await lotIn(room)]
    const cut = {
      kind: 'cut', whole: null, into: ['250 g', '240 g'].map(weight => ({ weight, tag: null })), offcuts: [],
    }
    expect(
      await maker.post('/api/steps', {
        steps: [cut],
        lots: [{ code: a.code, pieces: [a.ids[0]] }, { code: b.code, pieces: b.ids }],
        when: { told: 'now' },
      }),
    ).toMatchObject({ status: 422, body: { errors: [{ code: 'one_piece_a_cut' }] } })
    expect((await lotOf(b.code)).pieces).toHaveLength(2)
  })
})

describe('salt only, out of its cure, in the warm', () => {
  it.each(['move', 'dry', 'rest', 'hang'])('is said by whatever word: %s', async (kind) => {
    await readAt(room.places.attic, '18')
    const { code, ids } = await lotIn(room, saltOnly())
    await must(maker.post(`/api/lots/${code}/out`, {}))
    const step = {
      move: move(room.places.attic),
      dry: { kind: 'dry', minutes: null, how: 'hung', placeId: room.places.attic },
      rest: { kind: 'rest', minutes: null, how: 'open', placeId: room.places.attic },
      hang: { kind: 'hang', placeId: room.places.attic, hooks: [] },
    }[kind]!
    const told = press(code, [ids[0]!], step)
    expect(await maker.post('/api/steps', told)).toMatchObject({ body: { code: 'hang_salt_only' } })
    await must(maker.post('/api/steps', press(code, [ids[0]!], { ...step, sure: true })))
    expect((await lotOf(code)).openHolds).toContain('hung_warm')
  })
  it('and what holds nitrite goes there as before', async () => {
    const { code, ids } = await lotOut(room)
    await must(maker.post('/api/steps', press(code, [ids[0]!], move(room.places.attic))))
  })
})

describe('what is rubbed', () => {
  it('is laid into a cold place', async () => {
    const { places } = await must(owner.get('/api/office'))
    const smoker = places.find((place: { kind: string }) => place.kind === 'smoker')
    expect(await maker.post('/api/lots', smallRub(room.s, { fridgeId: smoker.id }))).toMatchObject({
      status: 422,
      body: { code: 'not_cold_place', errors: [{ path: ['fridgeId'] }] },
    })
  })
  it('is turned and massaged in one visit; turned twice it is one turn', async () => {
    const { code } = await lotIn(room)
    const turn = (how: string) => maker.post('/api/steps', press(code, null, { kind: 'turn', how, face: null }))
    await must(turn('turned'))
    await must(turn('massaged'))
    expect(await turn('massaged')).toMatchObject({ body: { code: 'told_already' } })
  })
})

describe('packs', () => {
  it('go where their own piece goes: that of a destroyed one stays, its sound neighbour is sent', async () => {
    const { code, ids } = await lotOut(room)
    const slice = async (id: number) =>
      (await must(maker.post(`/api/lots/${code}/slicing`, slicing({ packs: ['200 g'], pieces: [id], ready: '480 g' })))).packCodes
    const [[bad], [good]] = [await slice(ids[0]!), await slice(ids[1]!)]
    await must(maker.post('/api/steps', press(code, [ids[0]!], { kind: 'look', feel: null, smell: 'off', note: null })))
    expect(await send([bad])).toMatchObject({ body: { code: 'lot_held' } })
    const { holds } = await lotOf(code)
    await must(owner.post(`/api/holds/${holds[0].id}/disposition`, { disposition: 'destroy', text: 'spoilt' }))
    expect(await send([bad])).toMatchObject({ body: { code: 'lot_destroyed' } })
    await must(send([good]))
  })
  it('are packed and sent between the rub and today', async () => {
    const { code } = await lotOut(room)
    const pack = (packedOn: string) =>
      maker.post(`/api/lots/${code}/slicing`, { ...slicing({ packs: ['200 g'] }), packedOn })
    expect(await pack('1999-05-01')).toMatchObject({ body: { code: 'day_before_rub', errors: [{ path: ['packedOn'] }] } })
    expect(await pack('2031-05-01')).toMatchObject({ body: { code: 'day_ahead', errors: [{ path: ['packedOn'] }] } })
    const { packCodes } = await must(pack(today()))
    expect(await send(packCodes, { sentOn: '1970-01-01' })).toMatchObject({ body: { code: 'day_before_rub' } })
    expect(await send(packCodes, { sentOn: '2099-01-01' })).toMatchObject({ body: { code: 'day_ahead' } })
    const lab = { residual: '20', laboratory: 'Valley lab', report: 'R-1', fileId: null }
    for (const sampledOn of ['1900-01-01', '9999-12-31'])
      expect(await maker.post(`/api/lots/${code}/lab-results`, { ...lab, sampledOn })).toMatchObject({
        status: 422,
        body: { errors: [{ path: ['sampledOn'] }] },
      })
  })
  it('weigh no more than the slab, whatever one is corrected to', async () => {
    const { code } = await packed(room)
    const [pack] = (await lotOf(code)).packList
    expect(
      await maker.post('/api/corrections', { what: 'pack_weight', id: pack.id, value: '9 kg', reason: 'read it again' }),
    ).toMatchObject({ body: { code: 'packs_over_weight', errors: [{ path: ['value'] }] } })
  })
  it('once sent stay on record: taken back within ten minutes, later set right to the customer who has them', async () => {
    const { code, packs } = await packed(room)
    const { eventId, noContact } = await must(send(packs, { customer: 'Nobody in the book' }))
    // Found at sending, nobody knows how to reach them.
    expect(noContact).toBe(true)
    await shop.sql('UPDATE events SET at = at - INTERVAL 11 MINUTE WHERE id = ?', [eventId])
    expect(await maker.post(`/api/events/${eventId}/void`, { reason: 'the wrong shop' })).toMatchObject({
      body: { code: 'sent_stands' },
    })
    await shop.sql('UPDATE events SET at = at + INTERVAL 11 MINUTE WHERE id = ?', [eventId])
    const [pack] = (await lotOf(code)).packList
    await must(maker.post('/api/corrections', { what: 'pack_customer', id: pack.id, value: 'Market stall', reason: 'read the note again' }))
    const now = await lotOf(code)
    expect(now.packList[0]).toMatchObject({ customer: 'Market stall', sentOn: today() })
    expect(now.events.at(-1)).toMatchObject({
      kind: 'corrected',
      computed: { from: 'Nobody in the book', to: 'Market stall' },
    })
  })
  it('say at sending what they are', async () => {
    const { code, packs } = await packed(room)
    const unsent = (await must(maker.get('/api/packs/unsent'))) as { code: string }[]
    expect(unsent.find(pack => pack.code === packs[0])).toMatchObject({ lot: code, cut: 'belly', packedOn: today() })
  })
})

describe('the thread of a delivery', () => {
  it('leads to the packs of its meat, and who has them', async () => {
    const { code: meat } = await must(owner.get('/api/store')).then(store => store.meat[0])
    const { packs } = await packed(room)
    const to = 'Thread inn'
    await must(send(packs, { customer: to }))
    const [row] = await shop.sql<{ code: string }>(
      'SELECT d.code FROM deliveries d JOIN meat_lots m ON m.delivery_id = d.id WHERE m.code = ?', [meat],
    )
    const [ofDelivery, ofMeat] = [await must(owner.get(`/api/thread/${row!.code}`)), await must(owner.get(`/api/thread/${meat}`))]
    const kinds = (view: { nodes: { kind: string }[] }) => view.nodes.map(node => node.kind).toSorted()
    if (ofMeat.outline) expect(ofDelivery.outline.packs).toEqual(ofMeat.outline.packs)
    else expect(kinds(ofDelivery)).toEqual(kinds(ofMeat))
    expect(JSON.stringify(ofDelivery)).toContain(to)
  })
})
