import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { runFigures } from '#core/smoke/run-figures'
import type { Client } from '../support/client'
import { must } from '../support/must'
import { rub, stock } from '../support/goods'
import { MAKER, openTestShop, OWNER, type TestShop, today } from '../support/shop'

const MINUTE = 60_000
let shop: TestShop
let maker: Client
let owner: Client
let lot: string
let run: string
let smoked: { eventId: number }

const view = () => must(maker.get(`/api/runs/${run}`))
/** One reading a few seconds apart, from one core temperature to another. */
const series = (fromMs: number, toMs: number, count: number, fromC: number, toC: number) =>
  Array.from({ length: count }, (_, i) => ({
    atMs: Math.round(fromMs + ((toMs - fromMs) * i) / (count - 1)),
    chamber: null,
    core: { typed: (fromC + ((toC - fromC) * i) / (count - 1)).toFixed(1), unit: 'C' },
  }))
const send = (phase: string, readings: unknown[]) =>
  must(maker.post(`/api/runs/${run}/readings`, { phase, source: 'csv', readings }))

beforeAll(async () => {
  shop = await openTestShop()
  maker = await shop.signedIn(MAKER)
  owner = await shop.signedIn(OWNER)
  const s = await stock(maker)
  lot = (await must(maker.post('/api/lots', rub(s)))).code
  await must(maker.post(`/api/lots/${lot}/out`, {}))
  const { pieces } = await must(maker.get(`/api/lots/${lot}`))
  const pieceIds = pieces.map((piece: { id: number }) => piece.id)
  run = (await must(maker.post('/api/runs', { smoker: 'Smoker', pieceIds, targetCore: { typed: '63', unit: 'C' } }))).code
})
afterAll(() => shop.close())

describe('a logger', () => {
  it('puts its rows into the smoke once, and a count of them into the book', async () => {
    const now = Date.now()
    smoked = await send('smoke', series(now - 28 * MINUTE, now - 4 * MINUTE, 1200, 8, 65))
    const { readings, readingCount, points, figures, events } = await view()
    expect([readingCount, readings.length, points.length <= 600]).toEqual([1200, 100, true])
    expect(readings.at(-1).coreC).toBe(65)
    expect(figures).toMatchObject({ hottestC: 65, heated: true })
    const told = events.find((event: { kind: string }) => event.kind === 'run_read')
    expect(told.typed).toMatchObject({ count: 1200, phase: 'smoke', source: 'csv' })
    expect(JSON.stringify(told).length).toBeLessThan(2000)
  })
  it('gives every row back, a page at a time, none twice', async () => {
    const seen = new Set<number>()
    for (let skip = 0; skip < 1200; skip += 100)
      for (const { id } of await must(maker.get(`/api/runs/${run}/readings?skip=${skip}`))) seen.add(id)
    expect(seen.size).toBe(1200)
    expect((await maker.get(`/api/runs/${run}/readings?skip=-1`)).body.code).toBe('no_such_page')
  })
  it('is taken back whole, and read anew at once', async () => {
    await must(owner.post(`/api/events/${smoked.eventId}/void`, { reason: 'of another smoke' }))
    expect(await view()).toMatchObject({ readingCount: 0, points: [], figures: { hottestC: null } })
    const now = Date.now()
    await send('smoke', series(now - 28 * MINUTE, now - 4 * MINUTE, 60, 8, 65))
    expect(await view()).toMatchObject({ readingCount: 60, figures: { hottestC: 65 } })
  })
  it('what was kept of a finished heat is shown, and no write goes by it', async () => {
    await must(maker.post(`/api/runs/${run}/pull`, {}))
    const now = Date.now()
    await send('cool', series(now - 3 * MINUTE, now, 200, 60, 3))
    expect((await must(maker.get(`/api/lots/${lot}`))).runs).toMatchObject([{ cooled: true }])
    const [kept] = await shop.sql<{ judged: string }>('SELECT judged FROM heat_judgements')
    const judged = typeof kept!.judged === 'string' ? JSON.parse(kept!.judged) : kept!.judged
    judged.groups[0].coolingOpen = [run]
    await shop.sql('UPDATE heat_judgements SET judged = ?', [JSON.stringify(judged)])
    expect((await must(maker.get(`/api/lots/${lot}`))).runs).toMatchObject([{ cooled: false }])
    const packs = [{ kind: 'sliced', weight: '250' }]
    await must(
      maker.post(`/api/lots/${lot}/slicing`, { readyWeight: '3 kg', packedOn: today(), offcuts: [], packs }),
    )
  })
  it('a night of it, worked out in another thread, comes to what the core says of the same readings', async () => {
    const other = (await must(maker.post('/api/lots', rub(await stock(maker))))).code
    await must(maker.post(`/api/lots/${other}/out`, {}))
    const { pieces } = await must(maker.get(`/api/lots/${other}`))
    const pieceIds = pieces.map((piece: { id: number }) => piece.id)
    const target = { typed: '63', unit: 'C' }
    const night = (await must(maker.post('/api/runs', { smoker: 'Smoker', pieceIds, targetCore: target }))).code
    const now = Date.now()
    const readings = series(now - 20 * MINUTE, now - MINUTE, 4800, 4, 66)
    await must(maker.post(`/api/runs/${night}/readings`, { phase: 'smoke', source: 'csv', readings }))
    const { credit, ...figures } = runFigures(
      readings.map(({ atMs, core }) => ({ atMs, coreC: Number(core.typed) })),
    )
    const [smoke, seen] = await Promise.all([must(maker.get(`/api/runs/${night}`)), must(maker.get(`/api/lots/${other}`))])
    expect(smoke.figures).toEqual({
      ...figures,
      log: expect.closeTo(figures.log, 6),
      p70Min: expect.closeTo(figures.p70Min, 6),
    })
    expect(smoke.points.at(-1).log).toBeCloseTo(credit.at(-1)!, 6)
    expect(seen.runs).toMatchObject([{ code: night, cooled: false }])
  })
})
