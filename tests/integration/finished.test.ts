import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { connect } from '../../server/db/line/connect'
import { markFinished } from '../../server/db/integrity/mark-finished'
import type { Client, Reply } from '../support/client'
import { must } from '../support/must'
import { rub, stock, type Stock } from '../support/goods'
import { MAKER, openTestShop, OWNER, type TestShop, today } from '../support/shop'

let shop: TestShop
let maker: Client
let owner: Client
let s: Stock
beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  // Just as much as one lot of 3.84 kg takes.
  s = await stock(maker, { weight: '3840' })
})
afterAll(() => shop.close())

const codes = (rows: { code: string }[]) => rows.map(row => row.code)
const onFloor = async () => codes((await must(maker.get('/api/floor'))).lots)
const onBench = async () => codes((await must(maker.get('/api/bench'))).meat)
const listed = async (query = '') => (await must(maker.get(`/api/lots${query}`))).rows
const takeBack = (eventId: number) => must(owner.post(`/api/events/${eventId}/void`, { reason: 'tried out' }))

describe('what is finished', () => {
  let rubbed: { code: string, eventId: number }
  let sent: { eventId: number }
  it('meat leaves the Bench with its last gram, and stays in the Store', async () => {
    expect(await onBench()).toContain(s.meat)
    rubbed = await must(maker.post('/api/lots', rub(s)))
    expect(await onBench()).not.toContain(s.meat)
    const store = await must(maker.get('/api/store'))
    expect(codes(store.meat)).not.toContain(s.meat)
    expect(codes(store.newest.meat.rows)).toContain(s.meat)
  })
  it('and comes back when the rub is voided', async () => {
    await takeBack(rubbed.eventId)
    expect(await onBench()).toContain(s.meat)
    rubbed = await must(maker.post('/api/lots', rub(s)))
  })
  it('a lot leaves the floor when all of it is packed and sent, and no sooner', async () => {
    const { code } = rubbed
    await must(maker.post(`/api/lots/${code}/out`, {}))
    const { packCodes } = await must(maker.post(`/api/lots/${code}/slicing`, {
      readyWeight: '500 g', packedOn: today(), offcuts: [], scaleId: s.meatScaleId,
      packs: [{ kind: 'sliced', weight: '250' }, { kind: 'sliced', weight: '245' }],
    }))
    await must(owner.post('/api/office/rules', { confirmedBy: 'Ada', confirmedOn: '2026-11-23', reference: 'folder' }))
    const send = (packs: string[]) =>
      must(maker.post('/api/dispatches', { customer: 'Corner Shop', sentOn: today(), packCodes: packs }))
    await send([packCodes[0]])
    expect(await onFloor()).toContain(code)
    sent = await send([packCodes[1]])
    expect(await onFloor()).not.toContain(code)
    expect(await listed()).toMatchObject([{ code, packs: 2, unsent: 0, greenG: 3840, packsG: 495, leftG: 0 }])
    expect(await listed('?open=true')).toEqual([])
  })
  it('and is on it again when its sending is voided', async () => {
    await takeBack(sent.eventId)
    expect(await onFloor()).toContain(rubbed.code)
    expect(codes(await listed('?open=true'))).toEqual([rubbed.code])
  })
  it('a lot to be destroyed is done with once the owner has written so', async () => {
    await must(maker.post(`/api/lots/${rubbed.code}/hold`, { text: 'dropped on the floor' }))
    expect(await onFloor()).toContain(rubbed.code)
    const [hold] = (await must(maker.get(`/api/lots/${rubbed.code}`))).holds
    await must(owner.post(`/api/holds/${hold.id}/disposition`, { disposition: 'destroy', text: 'into the bin, weighed' }))
    expect(await onFloor()).not.toContain(rubbed.code)
    expect(await listed()).toMatchObject([{ code: rubbed.code, openHolds: ['by_hand'] }])
  })
  it('two who send the last packs at the same moment leave none open behind them', async () => {
    const more = await stock(maker, { supplierLot: 'NF-2' })
    const { code } = await must(maker.post('/api/lots', rub(more)))
    await must(maker.post(`/api/lots/${code}/out`, {}))
    const { packCodes } = await must(maker.post(`/api/lots/${code}/slicing`, {
      readyWeight: '1 kg', packedOn: today(), offcuts: [], scaleId: s.meatScaleId,
      packs: Array.from({ length: 4 }, () => ({ kind: 'sliced', weight: '250' })),
    }))
    const answers = await Promise.all(packCodes.map((pack: string) =>
      maker.post('/api/dispatches', { customer: 'Corner Shop', sentOn: today(), packCodes: [pack] })))
    expect(answers.map((answer: Reply) => answer.status)).toEqual([200, 200, 200, 200])
    expect(await onFloor()).not.toContain(code)
  })
  it('a shop from before the mark is marked as its writes would have', async () => {
    const tables = ['lots', 'meat_lots', 'ingredient_lots']
    const marked = () =>
      Promise.all(tables.map(name => shop.sql(`SELECT id FROM ${name} WHERE finished_at IS NOT NULL AND voided = 0 ORDER BY id`)))
    const before = await marked()
    expect(before.map(rows => rows.length > 0)).toEqual([true, true, false])
    const admin = connect(shop.adminUrl, 1)
    await admin.transaction(async (transaction) => {
      for (const name of tables) await admin.query(`UPDATE ${name} SET finished_at = NULL`, { transaction })
      await markFinished(admin, transaction)
    })
    await admin.close()
    expect(await marked()).toEqual(before)
  })
  it('a record of many packs is told whole, however long it is', async () => {
    const more = await stock(maker, { supplierLot: 'NF-3' })
    const { code } = await must(maker.post('/api/lots', rub(more)))
    await must(maker.post(`/api/lots/${code}/out`, {}))
    const packs = Array.from({ length: 120 }, () => ({ kind: 'sliced', weight: '20' }))
    await must(
      maker.post(`/api/lots/${code}/slicing`, {
        readyWeight: '3 kg', packedOn: today(), offcuts: [], scaleId: s.meatScaleId, packs,
      }),
    )
    const { events } = await must(maker.get(`/api/lots/${code}`))
    const sliced = events.find((event: { kind: string }) => event.kind === 'sliced')
    expect(sliced.typed.packs).toHaveLength(120)
    expect(sliced.longBytes).toBeUndefined()
  })
  it('lots are found by code, cut and day, a page at a time, and nonsense finds none', async () => {
    const { rubbedOn } = (await listed())[0]
    for (const find of ['belly', rubbedOn, 'L-', '2']) expect(codes(await listed(`?find=${find}`)), find).toContain(rubbed.code)
    for (const find of ['jowl', '1999-01-01', 'L-9', '%25', '_', '\\']) expect(
      await listed(`?find=${encodeURIComponent(find)}`),
      find,
    ).toEqual([])
    expect(codes(await listed('?before=L-0003'))).toEqual([rubbed.code])
    for (const query of [
      '?before=nonsense',
      '?open=maybe',
      '?find=%ED%A0%80',
    ]) expect((await maker.get(`/api/lots${query}`)).status, query).not.toBe(500)
  })
})
