import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { walkBook } from '../support/book'
import { must } from '../support/must'
import type { Client } from '../support/client'
import { celsius, ingredient, meat, rub, stock, type Stock } from '../support/goods'
import { INSPECTOR, MAKER, openTestShop, type TestShop, today } from '../support/shop'

let shop: TestShop
let maker: Client
let s: Stock

beforeAll(async () => {
  shop = await openTestShop()
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '90 kg' })
})
afterAll(() => shop.close())

const undo = (eventId: number) => maker.post(`/api/events/${eventId}/undo`, {})
const lot = async (code: string) => must(maker.get(`/api/lots/${code}`))
const newLot = async () => (await must(maker.post('/api/lots', rub(s)))).code as string

describe('undo within ten minutes is a void with its reason filled in', () => {
  it('of a turn: the turn is gone, the book has both', async () => {
    const code = await newLot()
    const { eventId } = await must(maker.post(`/api/lots/${code}/turns`, {}))
    const undone = await must(undo(eventId))
    const { turns, events } = await lot(code)
    expect(turns).toEqual([])
    const [turned, voided] = events.slice(-2)
    expect(turned).toMatchObject({
      id: eventId,
      kind: 'step',
      voided: { id: undone.eventId, reason: 'undone within ten minutes', who: 'maker person' },
    })
    expect(voided).toMatchObject({
      id: undone.eventId,
      kind: 'voided',
      voidsId: eventId,
      reason: 'undone within ten minutes',
    })
  })
  it('is refused later, where a void with a reason is not', async () => {
    const code = await newLot()
    const { eventId } = await must(maker.post(`/api/lots/${code}/turns`, {}))
    // Only the owner of the database can make a record look older; its hash then no longer fits, so the time is put
    // back.
    await shop.sql('UPDATE events SET at = at - INTERVAL 11 MINUTE WHERE id = ?', [eventId])
    expect(await undo(eventId)).toMatchObject({ status: 422, body: { code: 'undo_too_late' } })
    await shop.sql('UPDATE events SET at = at + INTERVAL 11 MINUTE WHERE id = ?', [eventId])
    expect(await maker.post(`/api/events/${eventId}/void`, { reason: ' ' })).toMatchObject({ status: 422 })
    await must(maker.post(`/api/events/${eventId}/void`, { reason: 'the wrong lot' }))
  })
  it('happens once, however many press it', async () => {
    const code = await newLot()
    const { eventId } = await must(maker.post(`/api/lots/${code}/turns`, {}))
    const replies = await Promise.all(Array.from({ length: 5 }, () => undo(eventId)))
    expect(replies.map(reply => reply.status).sort()).toEqual([200, 409, 409, 409, 409])
    expect((await lot(code)).events.filter((e: { kind: string }) => e.kind === 'voided')).toHaveLength(1)
  })
  it('of draining and of the end of the cure gives the state before', async () => {
    const code = await newLot()
    const first = await must(maker.post(`/api/lots/${code}/drained`, {}))
    const { drainedAtMs } = await lot(code)
    const second = await must(maker.post(`/api/lots/${code}/drained`, {}))
    await must(undo(second.eventId))
    expect((await lot(code)).drainedAtMs).toBe(drainedAtMs)
    // Neither rests on the other: taken back in any order.
    const third = await must(maker.post(`/api/lots/${code}/drained`, {}))
    const lastMs = (await lot(code)).drainedAtMs
    await must(undo(first.eventId))
    expect((await lot(code)).drainedAtMs).toBe(lastMs)
    await must(undo(third.eventId))
    expect((await lot(code)).drainedAtMs).toBeNull()
    const out = await must(maker.post(`/api/lots/${code}/out`, {}))
    await must(undo(out.eventId))
    expect((await lot(code)).cureEndedAtMs).toBeNull()
  })
  it('of a delivery, an ingredient and a rub gives the stock back, unless something rests on it', async () => {
    const delivery = await must(maker.post('/api/deliveries', meat({ weight: '4 kg' })))
    const [meatCode] = delivery.meatCodes
    const salt = await must(maker.post('/api/ingredients', ingredient('salt', { amount: '90 g' })))
    const rubbed = await must(
      maker.post(
        '/api/lots',
        rub(s, { pieces: [{ meatCode, weight: '3.84 kg' }], salt: { lotCode: salt.code, weighed: '87.4' } }),
      ),
    )
    for (const { eventId } of [delivery, salt])
      expect(await undo(eventId)).toMatchObject({ status: 422, body: { code: 'built_upon' } })
    await must(undo(rubbed.eventId))
    expect((await maker.get(`/api/lots/${rubbed.code}`)).status).toBe(404)
    const store = (await maker.get('/api/store')).body
    expect(store.meat.find((m: { code: string }) => m.code === meatCode).usedG).toBe(0)
    expect(store.ingredients.find((m: { code: string }) => m.code === salt.code).usedG).toBe(0)
    await must(undo(delivery.eventId))
    await must(undo(salt.eventId))
    const after = (await maker.get('/api/store')).body
    expect(
      [...after.meat, ...after.ingredients].some((m: { code: string }) => m.code === meatCode || m.code === salt.code),
    ).toBe(false)
  })
  it('of a fridge reading takes it out of the line', async () => {
    const { eventId } = await must(maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('31') }))
    await must(undo(eventId))
    const { places } = (await maker.get('/api/floor')).body
    expect(places[0].readings).toEqual([])
  })
  it('of a smoke, step by step backwards, and of slicing and sending', async () => {
    const owner = await shop.signedIn({ signIn: 'ada', password: 'a long password' })
    await must(owner.post('/api/office/rules', { confirmedBy: 'Ada', confirmedOn: '2026-11-01', reference: 'folder' }))
    const code = await newLot()
    await must(maker.post(`/api/lots/${code}/out`, {}))
    const { pieces } = await lot(code)
    const pieceIds = pieces.map((p: { id: number }) => p.id)
    const start = () => maker.post('/api/runs', { smoker: 'Smoker', pieceIds, targetCore: celsius('60') })
    const run = await must(start())
    const atMs = Date.now()
    const readings = (phase: string, list: [number, string][]) =>
      maker.post(`/api/runs/${run.code}/readings`, {
        phase,
        source: 'hand',
        readings: list.map(([minute, core]) => ({ atMs: atMs + minute * 60_000, chamber: null, core: celsius(core) })),
      })
    const wrong = await must(
      readings('smoke', [
        [-20, '8'],
        [-1, '96'],
      ]),
    )
    await must(undo(wrong.eventId))
    await must(
      readings('smoke', [
        [-20, '8'],
        [-1, '62'],
      ]),
    )
    const pulled = await must(maker.post(`/api/runs/${run.code}/pull`, {}))
    expect(await undo(run.eventId)).toMatchObject({ body: { code: 'built_upon' } })
    await must(undo(pulled.eventId))
    expect((await must(maker.get(`/api/runs/${run.code}`))).pulledAtMs).toBeNull()
    await must(maker.post(`/api/runs/${run.code}/pull`, {}))
    await must(
      readings('cool', [
        [1, '50'],
        [2, '25'],
        [3, '6'],
      ]),
    )
    const slicing = () =>
      maker.post(`/api/lots/${code}/slicing`, {
        readyWeight: '3.5 kg',
        packedOn: today(),
        packs: [{ kind: 'sliced', weight: '250' }],
        offcuts: [{ kind: 'ends', weight: '90' }],
      })
    const sliced = await must(slicing())
    const sent = await must(
      maker.post('/api/dispatches', { customer: 'Corner', sentOn: today(), packCodes: sliced.packCodes }),
    )
    expect(await undo(sliced.eventId)).toMatchObject({ body: { code: 'built_upon' } })
    await must(undo(sent.eventId))
    await must(undo(sliced.eventId))
    expect(await lot(code)).toMatchObject({ packs: 0, readyG: null, offcuts: [] })
    const again = await must(slicing())
    expect(await lot(code)).toMatchObject({ packs: 1, readyG: 3500 })
    // Held once it is packed, it is neither packed further nor sent, and a sending that is taken back does not get
    // round it.
    await must(maker.post(`/api/lots/${code}/hold`, { text: 'a seal is open' }))
    expect(await slicing()).toMatchObject({ status: 422, body: { code: 'lot_held' } })
    expect(await start()).toMatchObject({ status: 422, body: { code: 'lot_held' } })
    expect(
      await maker.post('/api/dispatches', { customer: 'Corner', sentOn: today(), packCodes: again.packCodes }),
    ).toMatchObject({ status: 422, body: { code: 'lot_held' } })
    const [hold] = (await lot(code)).holds
    await must(
      owner.post(`/api/holds/${hold.id}/disposition`, { disposition: 'destroy', text: 'thrown away, weighed' }),
    )
    expect(
      await maker.post('/api/dispatches', { customer: 'Corner', sentOn: today(), packCodes: again.packCodes }),
    ).toMatchObject({ status: 422, body: { code: 'lot_destroyed' } })
  })
})

describe('what cannot be voided', () => {
  it('a void, a decision, an account; and a record that is none', async () => {
    const code = await newLot()
    const { eventId } = await must(maker.post(`/api/lots/${code}/turns`, {}))
    const undone = await must(undo(eventId))
    expect(await undo(undone.eventId)).toMatchObject({ status: 422, body: { code: 'cannot_void' } })
    expect(await undo(1)).toMatchObject({ body: { code: expect.stringMatching(/cannot_void|undo_too_late/) } })
    expect(await undo(999_999)).toMatchObject({ status: 404, body: { code: 'no_such_record' } })
  })
  it('anything, by an inspector', async () => {
    const code = await newLot()
    const { eventId } = await must(maker.post(`/api/lots/${code}/turns`, {}))
    const inspector = await shop.signedIn(INSPECTOR)
    expect(await inspector.post(`/api/events/${eventId}/undo`, {})).toMatchObject({ status: 403 })
  })
})

it('after all that the chain is unbroken', async () => expect((await walkBook(shop.adminUrl)).broken).toBeNull())
