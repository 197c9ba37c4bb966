import { beforeAll, describe, expect, it } from 'vitest'
import { massBalance } from '#core/slicing/mass-balance'
import { MS_PER_DAY, MS_PER_HOUR } from '#core/units/quantities'
import { slicingInput, dispatchInput } from '#shared/contracts/slicing'
import { runInput, runReadingsInput } from '#shared/contracts/smoke'
import { pressInput } from '#shared/steps/press'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { threadView } from '../ledger/thread-view'
import { recordPress } from '../press/record-press'
import { lotView } from '../views/lot-view'
import { addReadings, pullRun, startRun } from '../smoke/runs'
import { recordSlicing } from './record-slicing'
import { sendPacks } from './send-packs'

/** One lot of two pieces at least, of which the first is smoked and the second is not. */
let shop: MemoryShop
let code: string
let lotId: number
let ids: number[]
let run: string
beforeAll(async () => {
  shop = await MemoryShop.open()
  await shop.askNoReadings()
  const [lot] = await shop.tables.lots.find({ code: 'L-0010' })
  code = lot!.code
  lotId = lot!.id
  ids = (await shop.tables.pieces.find({ lotId }, { order: [['number', 'ASC']] })).map(piece => piece.id)
})
const must = <T>(answer: { ok: boolean; code?: string; params?: unknown; value?: T }): T => {
  if (!answer.ok) throw new Error(`${answer.code} ${JSON.stringify(answer.params)}`)
  return answer.value as T
}
const view = async () => must(await lotView(shop.tables, code, shop.nowMs))
const EMPTY = { readyWeight: null, packedOn: '2026-06-30', scaleId: null, unchecked: true, despite: 'this test', packs: [], offcuts: [] }
const slice = (more: Record<string, unknown>) =>
  shop.press(ctx => recordSlicing(ctx, code, slicingInput.parse({ ...EMPTY, ...more })))
const out = (pieces: number[]) =>
  shop.press(ctx =>
    recordPress(ctx, pressInput.parse({ steps: [{ kind: 'out', rinses: 1 }], lots: [{ code, pieces }], when: { told: 'now' } })),
  )
const send = (packCodes: string[]) =>
  shop.press(ctx => sendPacks(ctx, dispatchInput.parse({ customer: 'The Tin Lantern Café', sentOn: '2026-06-30', packCodes })))
const SMOKE = {
  smoker: 'Brick smoker',
  targetCore: { typed: '63', unit: 'C' },
  coreThermometerId: null,
  chamberThermometerId: null,
  unchecked: true,
  despite: 'this test',
}
const packsOf = (...weights: string[]) => weights.map(weight => ({ kind: 'sliced', weight }))
const grams = async (id: number, share: number) => `${((await shop.tables.pieces.one({ id }))!.greenG * share).toFixed(0)} g`

describe('slicing by pieces', () => {
  it('half is smoked while the other half cures on', async () => {
    shop.nowMs += 15 * MS_PER_DAY
    must(await out([ids[0]!]))
    expect((await view()).cureEndedAtMs).toBeNull()
    const start = (pieceIds: number[]) =>
      shop.press(ctx => startRun(ctx, runInput.parse({ ...SMOKE, pieceIds })))
    expect(await start([ids[0]!, ids[1]!])).toMatchObject({ ok: false, code: 'still_curing' })
    run = must(await start([ids[0]!])).code
    expect(await slice({ pieces: [ids[1]], readyWeight: '1 kg' })).toMatchObject({ ok: false, code: 'still_curing' })
    expect(await slice({ pieces: [ids[0]], readyWeight: '1 kg' })).toMatchObject({ ok: false, code: 'still_in_smoke' })
    const startMs = shop.nowMs
    const read = (phase: string, rows: [number, number][]) =>
      shop.press(ctx =>
        addReadings(ctx, run, runReadingsInput.parse({
          phase,
          source: 'hand',
          readings: rows.map(([minutes, core]) => ({
            atMs: startMs + minutes * 60_000,
            chamber: null,
            core: { typed: String(core), unit: 'C' },
          })),
        })),
      )
    shop.nowMs += 5 * MS_PER_HOUR
    must(await read('smoke', [[0, 4], [30, 20], [60, 40], [90, 54], [120, 61], [180, 65], [240, 66]]))
    must(await shop.press(ctx => pullRun(ctx, run)))
    expect(await slice({ pieces: [ids[0]], readyWeight: '1 kg' })).toMatchObject({ ok: false, code: 'cooling_open' })
    shop.nowMs += 12 * MS_PER_HOUR
    must(await read('cool', [[310, 54], [360, 40], [420, 26], [480, 18], [540, 12], [600, 7], [660, 5], [720, 4]]))
  })
  it('what is smoked and cold is sliced while the rest waits', async () => {
    const readyWeight = await grams(ids[0]!, 0.85)
    const packs = packsOf(await grams(ids[0]!, 0.4), await grams(ids[0]!, 0.3))
    expect(await slice({ pieces: [ids[0]], packs })).toMatchObject({ ok: false, code: 'ready_weight_missing' })
    must(await slice({ pieces: [ids[0]], readyWeight, packs }))
    const lot = await view()
    expect(lot).toMatchObject({ packs: 2, unsliced: ids.length - 1 })
    expect(lot.pieces[0]!.goneAtMs).toBeNull()
  })
  it('the rest of a slab comes to the table again, unweighed; that was all of it', async () => {
    const twice = await slice({ pieces: [ids[0]], readyWeight: '200 g', packs: packsOf('100 g') })
    expect(twice).toMatchObject({ ok: false, code: 'ready_weight_twice' })
    must(await slice({ pieces: [ids[0]], packs: packsOf(await grams(ids[0]!, 0.12)), all: true }))
    const lot = await view()
    expect(lot.pieces[0]).toMatchObject({ goneWhy: 'sliced', placeId: null })
    expect(await slice({ pieces: [ids[0]], packs: packsOf('100 g') })).toMatchObject({ ok: false, code: 'no_such_piece' })
  })
  it('all sent, the lot stays open while a piece is left', async () => {
    const packCodes = (await shop.tables.packs.find({ lotId })).map(pack => pack.code)
    must(await send(packCodes))
    expect((await shop.tables.lots.one({ id: lotId }))!.finishedAtMs).toBeNull()
  })
  it('a pack of the unsmoked half does not stand behind the smoke', async () => {
    shop.nowMs += MS_PER_DAY
    const rest = ids.slice(1)
    must(await out(rest))
    const greens = await Promise.all(rest.map(async id => (await shop.tables.pieces.one({ id }))!.greenG))
    const readyWeight = `${greens.reduce((a, b) => a + b, 0) * 0.95} g`
    const { packCodes } = must(await slice({ pieces: rest, readyWeight, packs: packsOf('500 g'), all: true }))
    const smoked = (await shop.tables.packs.find({ lotId })).find(pack => !packCodes.includes(pack.code))!
    const thread = must(await threadView(shop.tables, packCodes[0]!))
    expect(thread.nodes.map(node => node.code)).not.toContain(run)
    expect(must(await threadView(shop.tables, smoked.code)).nodes.map(node => node.code)).toContain(run)
    const fromRun = must(await threadView(shop.tables, run))
    const packs = fromRun.nodes.filter(node => node.kind === 'pack')
    expect(packs.reduce((sum, node) => sum + node.packs!, 0)).toBe(3)
    const whole = must(await threadView(shop.tables, code))
    expect(whole.nodes.filter(node => node.kind === 'pack').reduce((sum, node) => sum + node.packs!, 0)).toBe(4)
  })
  it('and the last one sent, it is finished; its balance holds', async () => {
    const packCodes = (await shop.tables.packs.find({ lotId, dispatchId: null })).map(pack => pack.code)
    must(await send(packCodes))
    expect((await shop.tables.lots.one({ id: lotId }))!.finishedAtMs).not.toBeNull()
    const lot = await view()
    const b = massBalance({ greenG: lot.greenG, readyG: lot.readyG, packsG: lot.packsG, offcutsG: {} })
    expect(lot.packsG + b.lossG! + b.unaccountedG!).toBeCloseTo(lot.greenG, 6)
  })
})
