import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '#core/units/quantities'
import { pressInput } from '#shared/steps/press'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { dispose, holdLot } from '../holds/holds'
import { lotView } from '../views/lot-view'
import { undoRecord } from '../voids/void-record'
import { recordPress } from './record-press'

let shop: MemoryShop
beforeAll(async () => {
  shop = await MemoryShop.open()
})
beforeEach(() => {
  shop.nowMs += MS_PER_HOUR
})
const open = async (method: string) => {
  const [lot] = await shop.tables.lots.find({ cureEndedAtMs: null, method: method as 'dry' }, { order: [['id', 'ASC']] })
  return lot!
}
const press = (code: string, step: Record<string, unknown>, pieces: number[] | null) =>
  shop.press(ctx =>
    recordPress(ctx, pressInput.parse({ steps: [step], lots: [{ code, pieces }], when: { told: 'now' }, again: true })),
  )
const idsOf = async (lotId: number) => (await shop.tables.pieces.find({ lotId }, { order: [['id', 'ASC']] })).map(piece => piece.id)
const finished = async (id: number) => (await shop.tables.lots.one({ id }))!.finishedAtMs !== null

describe('a piece that is taken away', () => {
  it('is none from then on, and nothing more is told of it; with the last one the lot is at its end', async () => {
    const lot = await open('two_applications')
    const [first, ...others] = await idsOf(lot.id)
    expect((await press(lot.code, { kind: 'take', why: 'tasted' }, [first!])).ok).toBe(true)
    const view = await lotView(shop.tables, lot.code, shop.nowMs)
    if (!view.ok) throw new Error(view.code)
    expect(view.value.pieces.find(piece => piece.id === first)).toMatchObject({ goneWhy: 'taken', placeId: null })
    expect(await press(lot.code, { kind: 'turn', how: 'turned', face: null }, [first!])).toMatchObject({
      ok: false,
      code: 'step_contradicts',
      params: { why: 'taken' },
    })
    expect(await finished(lot.id)).toBe(false)
    const last = await press(lot.code, { kind: 'take', why: 'thrown_away' }, others)
    if (!last.ok) throw new Error(last.code)
    expect(await finished(lot.id)).toBe(true)
    expect((await shop.tables.lots.one({ id: lot.id }))!.cureEndedAtMs).toBe(shop.nowMs)
    const [event] = await shop.tables.events.find({ kind: 'step' }, { order: [['id', 'DESC']], limit: 1 })
    expect((await shop.press(ctx => undoRecord(ctx, event!.id))).ok).toBe(true)
    expect(await finished(lot.id)).toBe(false)
    expect((await shop.tables.lots.one({ id: lot.id }))!.cureEndedAtMs).toBeNull()
  })
  it('destroyed by the owner it is gone in the same record; what was not held stays', async () => {
    const lot = await open('dry')
    const [held, ...others] = await idsOf(lot.id)
    await shop.press(async (ctx) => {
      await holdLot(ctx, lot, { reason: 'smell_off', figures: {}, facts: 'test', pieceIds: [held!] })
      return { ok: true, value: {} }
    })
    const hold = await shop.tables.holds.one({ lotId: lot.id, facts: 'test' })
    expect((await shop.press(ctx => dispose(ctx, hold!.id, { disposition: 'destroy', text: 'green all through' }))).ok).toBe(true)
    const rows = await shop.tables.pieces.find({ lotId: lot.id }, { order: [['id', 'ASC']] })
    expect(rows.map(row => row.goneWhy)).toEqual(['taken', ...others.map(() => null)])
    const [step] = await shop.tables.steps.find({ lotId: lot.id, kind: 'take' })
    const [event] = await shop.tables.events.find({ kind: 'disposed' }, { order: [['id', 'DESC']], limit: 1 })
    expect(step).toMatchObject({ pieces: [held], eventId: event!.id, figures: { why: 'thrown_away', decided: true } })
    expect(await finished(lot.id)).toBe(false)
  })
})
