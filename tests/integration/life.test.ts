import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { must } from '../support/must'
import { celsius, rub, stock, type Stock } from '../support/goods'
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
  s = await stock(maker)
})
afterAll(() => shop.close())

describe('a lot from the rub to the customer', () => {
  let code: string
  let run: string

  it('is rubbed with a verdict on what was really weighed', async () => {
    code = (await must(maker.post('/api/lots', rub(s)))).code
    const lot = await must(maker.get(`/api/lots/${code}`))
    expect(lot.judgement).toMatchObject({ status: 'inside', jurisdiction: 'United States', confirmed: null })
    expect(lot.judgement.lot.ppm).toBeCloseTo((1e6 * 9.2 * 0.0625) / 3840, 6)
    expect(lot.judgement.row.maxPpm).toBe(200)
    expect(lot.pieces.map((p: { greenTyped: string }) => p.greenTyped)).toEqual(['1840', '2.00 kg'])
    expect(lot.greenG).toBe(3840)
  })
  it('cannot be smoked, sliced or sent out of turn', async () => {
    const { pieces } = await must(maker.get(`/api/lots/${code}`))
    const early = await maker.post('/api/runs', {
      smoker: 'Smoker',
      pieceIds: pieces.map((p: { id: number }) => p.id),
      targetCore: celsius('63'),
    })
    expect(early).toMatchObject({ status: 422, body: { code: 'still_curing' } })
    const packs = await maker.post(`/api/lots/${code}/slicing`, {
      readyWeight: '3.5 kg',
      packedOn: today(),
      packs: [{ kind: 'sliced', weight: '250' }],
      offcuts: [],
    })
    expect(packs).toMatchObject({ status: 422, body: { code: 'still_curing' } })
  })
  it('is turned, drained and taken out', async () => {
    const { eventId } = await must(maker.post(`/api/lots/${code}/turns`, {}))
    expect(await maker.post(`/api/lots/${code}/turns`, {})).toMatchObject({
      status: 409,
      body: { code: 'turned_just_now' },
    })
    await must(maker.post(`/api/events/${eventId}/void`, { reason: 'wrong lot' }))
    expect(await maker.post(`/api/events/${eventId}/void`, { reason: 'wrong lot' })).toMatchObject({ status: 409 })
    await must(maker.post(`/api/lots/${code}/turns`, {}))
    await must(maker.post(`/api/lots/${code}/drained`, {}))
    await must(maker.post(`/api/lots/${code}/out`, {}))
    expect((await must(maker.get(`/api/lots/${code}`))).turns).toHaveLength(1)
    expect(await maker.post(`/api/lots/${code}/turns`, {})).toMatchObject({ status: 409, body: { code: 'cure_over' } })
  })
  it('is smoked, pulled and cooled in time', async () => {
    const { pieces } = await must(maker.get(`/api/lots/${code}`))
    run = (
      await must(
        maker.post('/api/runs', {
          smoker: 'Smoker',
          pieceIds: pieces.map((p: { id: number }) => p.id),
          targetCore: celsius('63'),
        }),
      )
    ).code
    expect(await maker.post(`/api/runs/${run}/pull`, {})).toMatchObject({ body: { code: 'no_core_reading' } })
    // A fast, hot smoke that ends now: readings may lie up to half an hour before the start was pressed.
    const now = Date.now()
    const smoke = [
      [-25, '8'],
      [-15, '45'],
      [-10, '62'],
      [0, '64'],
    ].map(([minute, core]) => ({
      atMs: now + Number(minute) * MINUTE,
      chamber: celsius('82'),
      core: celsius(String(core)),
    }))
    await must(maker.post(`/api/runs/${run}/readings`, { phase: 'smoke', source: 'hand', readings: smoke }))
    expect(
      await maker.post(`/api/runs/${run}/readings`, { phase: 'smoke', source: 'hand', readings: [smoke[0]] }),
    ).toMatchObject({ body: { code: 'reading_twice' } })
    expect(await must(maker.post(`/api/runs/${run}/pull`, {}))).toMatchObject({ outcome: 'heat_treated' })
    expect(
      await maker.post(`/api/lots/${code}/slicing`, {
        readyWeight: '3.5 kg',
        packedOn: today(),
        packs: [],
        offcuts: [],
      }),
    ).toMatchObject({ body: { code: 'cooling_open' } })
    const cool = [
      [1, '50'],
      [2, '25'],
      [3, '6'],
      // Nobody saw how much was drained: it cools by the stricter rule.
      [4, '3'],
    ].map(([minute, core]) => ({ atMs: now + Number(minute) * MINUTE, chamber: null, core: celsius(String(core)) }))
    await must(maker.post(`/api/runs/${run}/readings`, { phase: 'cool', source: 'csv', readings: cool }))
    const lot = await must(maker.get(`/api/lots/${code}`))
    expect(lot.runs).toMatchObject([{ code: run, cooled: true, outcome: 'heat_treated' }])
    expect(lot.openHolds).toEqual([])
  })
  it('is sliced and packed; more than there was is refused', async () => {
    const slicing = (packs: string[]) => ({
      readyWeight: '3.52 kg',
      packedOn: today(),
      packs: packs.map(weight => ({ kind: 'sliced', weight })),
      offcuts: [{ kind: 'ends', weight: '120' }],
    })
    expect(await maker.post(`/api/lots/${code}/slicing`, slicing(['2 kg', '2 kg']))).toMatchObject({
      body: { code: 'packs_over_weight' },
    })
    expect((await must(maker.get(`/api/lots/${code}`))).readyG).toBeNull()
    const { packCodes } = await must(maker.post(`/api/lots/${code}/slicing`, slicing(['250', '251.5', '8.8 oz'])))
    expect(packCodes).toEqual(['P-0001', 'P-0002', 'P-0003'])
  })
  it('goes out only when the rules are confirmed', async () => {
    const send = () =>
      maker.post('/api/dispatches', { customer: 'Corner Shop', sentOn: today(), packCodes: ['P-0001', 'P-0002'] })
    expect(await send()).toMatchObject({ status: 422, body: { code: 'rules_not_confirmed' } })
    expect(await maker.post('/api/office/rules', {})).toMatchObject({ status: 403 })
    await must(
      owner.post('/api/office/rules', { confirmedBy: 'Ada', confirmedOn: '2026-11-23', reference: 'green folder' }),
    )
    expect(await must(send())).toMatchObject({ packs: 2 })
    expect(await send()).toMatchObject({ body: { code: 'already_sent' } })
  })
  it('shows its thread both ways, from any code on it', async () => {
    const all = ['M-0001', 'N-0001', 'N-0002', 'N-0003', code, run, 'P-0003']
    const thread = await must(maker.get(`/api/thread/${code}`))
    expect(thread.nodes.map((n: { code: string }) => n.code)).toEqual(expect.arrayContaining(all))
    expect(thread.nodes.map((n: { title: string }) => n.title)).toEqual(
      expect.arrayContaining(['North Farm', 'Corner Shop']),
    )
    // Packs of one lot with one customer are one node, until it is opened.
    const [bundle] = thread.nodes.filter((n: { packs?: number }) => n.packs === 2)
    expect(bundle).toMatchObject({ kind: 'pack', massG: 501.5, firstCode: 'P-0001', lastCode: 'P-0002' })
    const party = bundle.code.split('party-')[1]
    expect(
      (await must(maker.get(`/api/thread/packs?lot=${code}&party=${party}`))).map((p: { code: string }) => p.code),
    ).toEqual(['P-0001', 'P-0002'])
    expect((await must(maker.get(`/api/thread/packs?lot=${code}`))).map((p: { code: string }) => p.code)).toEqual([
      'P-0003',
    ])
    expect(await maker.get('/api/thread/packs?lot=L-9999')).toMatchObject({ status: 404 })
    expect(await maker.get('/api/thread/packs?lot=%3Cb%3E')).toMatchObject({ body: { code: 'no_such_page' } })
    const backwards = (await must(maker.get('/api/thread/P-0003'))).nodes.map((n: { code: string }) => n.code)
    expect(backwards).toEqual(expect.arrayContaining(['M-0001', code, run]))
    expect(backwards).not.toContain('P-0001')
    const forwards = (await must(maker.get('/api/thread/M-0001'))).nodes.map((n: { code: string }) => n.code)
    expect(forwards).toEqual(expect.arrayContaining([code, bundle.code, 'P-0003']))
    expect(forwards).not.toContain('N-0001')
    expect(await maker.get('/api/thread/L-9999')).toMatchObject({ status: 404, body: { code: 'no_such_code' } })
    expect(await maker.get('/api/thread/%3Cb%3E')).toMatchObject({ status: 404 })
  })
  it('has every write in its book, with who and when', async () => {
    const { events } = await must(maker.get(`/api/lots/${code}`))
    expect(events.map((e: { kind: string }) => e.kind)).toEqual([
      'lot_rubbed',
      'step',
      'voided',
      'step',
      'step',
      'step',
      'run_started',
      'run_read',
      'run_pulled',
      'run_read',
      'sliced',
      'sent',
    ])
    for (const event of events) expect(event).toMatchObject({ zone: 'America/Chicago', who: 'maker person' })
    expect(events.every((e: { atMs: number }, i: number) => i === 0 || e.atMs >= events[i - 1].atMs)).toBe(true)
  })
})
