import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { walkBook } from '../support/book'
import type { Client } from '../support/client'
import { celsius, ingredient } from '../support/goods'
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
    const { places } = await must(owner.get('/api/office/places'))
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

describe('a rub with several sugars', () => {
  it('takes the second beside the first, and counts what both bring', async () => {
    const syrup = await must(maker.post('/api/ingredients', ingredient('sugar', {
      name: 'maple syrup',
      supplierLot: 'tree 4',
      composition: { saltPercent: '0', sugarPercent: '67', waterPercent: '33', allergens: [] },
    })))
    const { code } = await lotIn(room, {
      sugar: { lotCode: room.s.sugar, weighed: '3.3' },
      seasonings: [{ lotCode: syrup.code, weighed: '10', per: 'percent', amount: '1', pieces: null }],
    })
    const lot = await lotOf(code)
    const sugars = lot.ingredients.filter((one: { role: string }) => one.role === 'sugar')
    expect(sugars.map((one: { code: string; weighedG: number }) => [one.code, one.weighedG])).toEqual([
      [room.s.sugar, 3.3],
      [syrup.code, 10],
    ])
    // The syrup's own 67 % count: of 1 % sugar on 1,000 g, 3.3 g are left for the plain one.
    expect(sugars[0].plannedG).toBeCloseTo(10 - 6.7, 1)
  })
})

describe('a cut of the knife', () => {
  it('gives no more than twice the piece, however sure somebody is', async () => {
    const { code, ids } = await lotIn(room)
    const cut = (weight: string) => ({
      kind: 'cut', whole: null, into: Array.from({ length: 12 }, () => ({ weight, tag: null })), offcuts: [], sure: true,
    })
    expect(await maker.post('/api/steps', press(code, [ids[0]!], cut('60 kg')))).toMatchObject({
      status: 422,
      body: { code: 'cut_impossible' },
    })
    await must(maker.post('/api/steps', press(code, [ids[0]!], cut('80 g'))))
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
    const unsent = async () => ((await must(maker.get('/api/packs/unsent'))) as { code: string }[]).map(pack => pack.code)
    // What was destroyed waits for nobody.
    expect(await unsent()).toContain(good)
    expect(await unsent()).not.toContain(bad)
    await must(send([good]))
    expect(await lotOf(code)).toMatchObject({ unsent: 0 })
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
  it('of a lot that is reworked stay until the owner decides on what came of it', async () => {
    const { code, ids, packs } = await packed(room)
    await must(maker.post(`/api/lots/${code}/hold`, { text: 'one slab was tied too tight' }))
    const [hold] = (await lotOf(code)).holds
    const decide = (disposition: string) =>
      owner.post(`/api/holds/${hold.id}/disposition`, { disposition, text: 'tied anew and dried again' })
    await must(decide('rework'))
    const onToday = (await maker.get('/api/floor')).body.lots.find((one: { code: string }) => one.code === code)
    expect(onToday).toMatchObject({ openHolds: [], reworked: ['by_hand'] })
    // Worked on it may be.
    await must(maker.post('/api/steps', press(code, [ids[0]!], { kind: 'look', feel: 'edges_firm', note: null })))
    expect(await send([packs[0]!])).toMatchObject({ body: { code: 'lot_reworking' } })
    expect(await decide('rework')).toMatchObject({ body: { code: 'already_decided' } })
    await must(decide('release'))
    await must(send([packs[0]!]))
    expect((await lotOf(code)).holds).toMatchObject([{ disposition: 'release' }])
  })
  it('weigh a little more than the slab where somebody says why, and that stands in the book', async () => {
    const { code } = await lotOut(room)
    const told = slicing({ packs: ['500 g', '490 g'] })
    expect(await maker.post(`/api/lots/${code}/slicing`, told)).toMatchObject({
      body: { code: 'packs_over_asked', detail: expect.stringContaining('come to 990 g, 30 g more than the 960 g') },
    })
    const why = 'The slabs were on another scale'
    await must(maker.post(`/api/lots/${code}/slicing`, { ...told, overWhy: why }))
    // An answer to what nobody asked stands in no book.
    const fits = await lotOut(room)
    await must(maker.post(`/api/lots/${fits.code}/slicing`, { ...slicing({ packs: ['400 g'] }), overWhy: why }))
    const sliced = (event: { kind: string }) => event.kind === 'sliced'
    expect((await lotOf(fits.code)).events.findLast(sliced).reason).toBeNull()
    const { events, packList } = await lotOf(code)
    expect(events.findLast(sliced)).toMatchObject({ reason: why })
    const right = { what: 'pack_weight', id: packList[0].id, value: '505 g', reason: 'read it again' }
    expect(await maker.post('/api/corrections', right)).toMatchObject({ body: { code: 'packs_over_asked' } })
    await must(maker.post('/api/corrections', { ...right, sure: true }))
    expect(await maker.post('/api/corrections', { ...right, value: '530 g', sure: true })).toMatchObject({
      body: { code: 'packs_over_weight' },
    })
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

describe('a pack that comes back', () => {
  const back = (code: string, more: Record<string, unknown> = {}) =>
    maker.post(`/api/packs/${code}/return`, { reason: 'the bag was open', placeId: room.places.cold, ...more })
  const unsent = async (code: string) =>
    ((await must(maker.get('/api/packs/unsent'))) as { code: string; cameBack: boolean }[]).find(pack => pack.code === code)
  const decide = (id: number, disposition: string) =>
    owner.post(`/api/returns/${id}/decision`, { disposition, text: 'looked at it' })

  it('waits for the owner, who lets it go out again; who had it stays on record', async () => {
    const { code, packs: [pack] } = await packed(room)
    expect(await back(pack!)).toMatchObject({ body: { code: 'pack_in_shop' } })
    await must(send([pack!], { customer: 'Harbour inn' }))
    expect(await back(pack!, { when: { told: 'at', atMs: Date.now() - 50 * 3_600_000, said: null }, lateReason: 'a note' }))
      .toMatchObject({ body: { code: 'day_before_rub', errors: [{ path: ['when', 'atMs'] }] } })
    const { returnId } = await must(back(pack!))
    const [held] = (await lotOf(code)).packList
    expect(held).toMatchObject({
      customer: null,
      returned: { id: returnId, from: 'Harbour inn', reason: 'the bag was open', disposition: null },
    })
    expect(await unsent(pack!)).toMatchObject({ cameBack: true })
    expect(await send([pack!])).toMatchObject({ body: { code: 'pack_came_back' } })
    expect((await must(maker.get('/api/floor'))).store.returned).toContainEqual({
      code: pack, lot: code, reason: 'the bag was open',
    })
    expect(await maker.post(`/api/returns/${returnId}/decision`, { disposition: 'release', text: 'I say so' })).toMatchObject({
      status: 403,
    })
    await must(decide(returnId, 'release'))
    expect(await decide(returnId, 'destroy')).toMatchObject({ body: { code: 'already_decided' } })
    await must(send([pack!], { customer: 'Corner shop' }))
    const { events } = await must(maker.get(`/api/lots/${code}`))
    expect(events.map((event: { kind: string }) => event.kind)).toEqual(
      expect.arrayContaining(['sent', 'pack_returned', 'return_decided', 'sent']),
    )
  })
  it('destroyed waits for nobody, and its lot is whole in the walk', async () => {
    const { code, packs: [pack] } = await packed(room)
    await must(send([pack!]))
    const { returnId } = await must(back(pack!))
    await must(decide(returnId, 'destroy'))
    expect(await unsent(pack!)).toBeUndefined()
    expect(await send([pack!])).toMatchObject({ body: { code: 'pack_destroyed' } })
    expect(await lotOf(code)).toMatchObject({ unsent: 0 })
    expect(await walkBook(shop.adminUrl)).toMatchObject({ broken: null })
  })
  it('told of the wrong pack it is taken back, and is with its customer as before', async () => {
    const { code, packs: [pack] } = await packed(room)
    await must(send([pack!], { customer: 'Harbour inn' }))
    const { eventId } = await must(back(pack!))
    await must(maker.post(`/api/events/${eventId}/void`, { reason: 'it was another' }))
    expect((await lotOf(code)).packList[0]).toMatchObject({ customer: 'Harbour inn', returned: null })
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

describe('what goes against a plan', () => {
  const heat = (pieceIds: number[], more: Record<string, unknown> = {}) =>
    maker.post('/api/runs', {
      smoker: 'Smoker',
      pieceIds,
      targetCore: celsius('63'),
      coreThermometerId: null,
      chamberThermometerId: null,
      ...more,
    })
  const then = [
    { kind: 'rest', how: 'open', hours: { from: 12, to: 24 } },
    { kind: 'heat', how: 'hot', sessions: 1, hours: null },
    { kind: 'slice' },
  ]
  const rhythm = [{ fromDay: 0, everyDays: 1, how: 'turned' }]
  const cure = { rhythm, firstFace: null, stacked: false, pourOffEveryDays: null, looks: [], adds: [] }
  const plan = { cure, end: { by: 'days', fromDay: 7, toDay: 14, from: 'first_salt' }, then }
  const why = { despite: 'thin, and stiff throughout' }

  it('is asked at the end of the cure, at the heat, the table and the door, once each, and printed', async () => {
    maker.saysWhy = false
    try {
      const { code, ids } = await lotIn(room, { plan })
      const out = press(code, null, { kind: 'out', rinses: 1 })
      const early = await maker.post('/api/steps', out)
      expect(early).toMatchObject({
        status: 422,
        body: { code: 'against_plan', errors: [{ params: { early: code, day: 0, fromDay: 7 } }] },
      })
      expect(early.body.detail).toContain('cure day 0')
      expect((await lotOf(code)).cureEndedAtMs).toBeNull()
      await must(maker.post('/api/steps', { ...out, ...why }))
      expect((await lotOf(code)).events.at(-1)).toMatchObject({ kind: 'step', reason: why.despite })
      const short = await heat([ids[0]!])
      expect(short).toMatchObject({ body: { code: 'against_plan', errors: [{ params: { early: '', short: code } }] } })
      const table = slicing({ packs: ['200 g'], pieces: [ids[1]!], ready: '480 g' })
      const raw = await maker.post(`/api/lots/${code}/slicing`, table)
      expect(raw).toMatchObject({ body: { code: 'against_plan', errors: [{ params: { early: '', unheated: code, short: code } }] } })
      const { packCodes } = await must(maker.post(`/api/lots/${code}/slicing`, { ...table, ...why }))
      expect((await lotOf(code)).events.at(-1)).toMatchObject({ kind: 'sliced', reason: why.despite })
      // It was answered at the table: nobody is asked again at the door.
      await must(send(packCodes))
    }
    finally {
      maker.saysWhy = true
    }
  })
  it('is asked at the door of packs from before anybody asked', async () => {
    const { code, packs } = await packed(room)
    await shop.sql(
      'UPDATE steps SET figures = JSON_REMOVE(figures, \'$.against\') WHERE lot_id = (SELECT id FROM lots WHERE code = ?)',
      [code],
    )
    maker.saysWhy = false
    try {
      expect(await send(packs)).toMatchObject({ body: { code: 'against_plan', errors: [{ params: { early: code, unheated: '' } }] } })
      await must(send(packs, why))
    }
    finally {
      maker.saysWhy = true
    }
  })
})

describe('what is told late', () => {
  const ago = (hours: number) => ({ when: { told: 'at', atMs: Date.now() - hours * 3_600_000, said: null } })
  it('a rub and a slicing stand at their hour, and say how much later they were told', async () => {
    const hours = 0.5
    const { code } = await lotIn(room, ago(hours))
    const lot = await lotOf(code)
    expect(Date.now() - lot.rubbedAtMs).toBeGreaterThan(hours * 3_600_000 - 1000)
    const [rubbed] = lot.events
    expect(rubbed.computed.lateMs).toBeGreaterThan(hours * 3_600_000 - 60_000)
    // Sliced before it was out cannot be.
    await must(maker.post(`/api/lots/${code}/out`, {}))
    expect(await maker.post(`/api/lots/${code}/slicing`, { ...slicing({ packs: ['200 g'] }), ...ago(0.2) })).toMatchObject({
      body: { code: 'step_contradicts' },
    })
    expect(await maker.post(`/api/lots/${code}/slicing`, { ...slicing({ packs: ['200 g'] }), ...ago(-1) })).toMatchObject({
      body: { code: 'not_yet_happened' },
    })
    await must(maker.post(`/api/lots/${code}/slicing`, { ...slicing({ packs: ['200 g'] }), when: { told: 'now' } }))
  })
  it('a rub lies on no day before its meat came in', async () => {
    expect(await maker.post('/api/lots', smallRub(room.s, { ...ago(72), lateReason: 'the book was wet' }))).toMatchObject({
      status: 422,
      body: { code: 'day_before_rub', errors: [{ path: ['when', 'atMs'] }] },
    })
    expect(await maker.post('/api/lots', smallRub(room.s, ago(72)))).toMatchObject({ body: { code: 'late_reason_missing' } })
  })
})

describe('a law that lets meat mature', () => {
  it('keeps it in the shop for its days after the cure', async () => {
    await must(owner.put('/api/office/rules-in-force', { ruleSetId: 'uk', targetPpm: '140', floorPpm: null, maxPpm: null }))
    await must(owner.post('/api/office/rules', {
      ruleSetId: 'uk', confirmedBy: 'Ada', confirmedOn: '2026-11-23', reference: 'folder',
    }))
    const { code } = await lotIn(room, {
      choiceId: 'uk-traditional',
      targets: { saltShare: '2.5', sugarShare: '1', saltBasis: 'total', nitritePpm: '140' },
      agent: { lotCode: room.s.agent, weighed: '2.2' },
    })
    await must(maker.post(`/api/lots/${code}/out`, {}))
    const { packCodes } = await must(maker.post(`/api/lots/${code}/slicing`, slicing({ packs: ['200 g'] })))
    expect(await send(packCodes)).toMatchObject({ body: { code: 'not_matured', errors: [{ params: { code, days: 4 } }] } })
    // As if it had been out for four days.
    const days = (n: number) =>
      shop.sql('UPDATE pieces SET out_at = out_at - INTERVAL ? HOUR WHERE lot_id = (SELECT id FROM lots WHERE code = ?)', [n * 24, code])
    await days(3)
    expect(await send(packCodes)).toMatchObject({ body: { code: 'not_matured' } })
    await days(1)
    expect((await send(packCodes)).body.code).not.toBe('not_matured')
  })
})
