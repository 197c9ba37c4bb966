import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { sumOf } from '#core/lists/sum-of'
import { MS_PER_HOUR } from '#core/units/quantities'
import { pressInput } from '#shared/steps/press'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { correct } from '../corrections/correct'
import { lotView } from '../views/lot-view'
import { meatSums } from '../store-rows/meat-sums'
import { undoRecord } from '../voids/void-record'
import { recordPress } from './record-press'

let shop: MemoryShop
let code: string
let lotId: number
beforeAll(async () => {
  shop = await MemoryShop.open()
  const [lot] = await shop.tables.lots.find({ cureEndedAtMs: null, method: 'dry' }, { order: [['id', 'ASC']] })
  code = lot!.code
  lotId = lot!.id
})
beforeEach(() => {
  shop.nowMs += 12 * MS_PER_HOUR
})

type More = Record<string, unknown>
const press = (step: More, pieces: number[] | null, more: More = {}) =>
  shop.press(ctx =>
    recordPress(ctx, pressInput.parse({ steps: [step], lots: [{ code, pieces }], when: { told: 'now' }, ...more })),
  )
const cut = (into: string[], off: Record<string, string> = {}, more: More = {}) => ({
  kind: 'cut',
  whole: null,
  into: into.map(weight => ({ weight, tag: null })),
  offcuts: Object.entries(off).map(([kind, weight]) => ({ kind, weight })),
  scaleId: null,
  ...more,
})
const view = async () => {
  const found = await lotView(shop.tables, code, shop.nowMs)
  if (!found.ok) throw new Error(found.code)
  return found.value
}
const idOf = async (label: string) => (await view()).pieces.find(piece => piece.label === label)!.id
/** So much of a piece's green weight, as it is typed. */
const share = async (label: string, part: number) =>
  `${((await view()).pieces.find(piece => piece.label === label)!.greenG * part).toFixed(0)} g`

describe('a piece that is cut up', () => {
  it('gives parts and offcuts that weigh green what it did; nothing counts twice', async () => {
    const before = await view()
    const sums = await meatSums(shop.tables, [(await shop.tables.pieces.one({ lotId }))!.meatLotId])
    const [meat] = await shop.tables.pieces.find({ lotId })
    const usedG = sums.usedG(meat!.meatLotId)
    const told = await press(cut([await share('1', 0.5), await share('1', 0.4)], { rind: await share('1', 0.05) }), [await idOf('1')])
    if (!told.ok) throw new Error(told.code)
    expect(told.value.steps[0]).toMatchObject({ pieces: [1], into: ['1a', '1b'] })
    const after = await view()
    expect(after.pieces.map(piece => piece.label)).toEqual(['1a', '1b', ...before.pieces.slice(1).map(piece => piece.label)])
    expect(after.greenG).toBe(before.greenG)
    expect(after.rubbed.map(piece => piece.label)).toEqual(before.pieces.map(piece => piece.label))
    const parts = after.pieces.filter(piece => piece.number === 1)
    const whole = before.pieces.find(piece => piece.number === 1)!
    expect(sumOf(parts, piece => piece.greenG) / whole.greenG).toBeCloseTo(0.9 / 0.95, 3)
    expect(parts[0]).toMatchObject({ stage: 'cure', placeId: whole.placeId, spot: whole.spot, meatCode: whole.meatCode })
    expect(after.offcuts).toMatchObject([{ kind: 'rind' }])
    const again = await meatSums(shop.tables, [meat!.meatLotId])
    expect(again.usedG(meat!.meatLotId)).toBe(usedG)
  })
  it('its parts have its nitrite and its least, until something goes on one alone', async () => {
    const { judgement } = await view()
    expect(judgement.pieces).toHaveLength((await view()).rubbed.length)
    const { judgement: kept } = (await shop.tables.lots.one({ id: lotId }))!
    const drained = await press({
      kind: 'drain',
      how: 'poured_off',
      liquid: { told: 'rough', rough: 'few_spoons' },
      back: false,
      saltLies: false,
    }, null)
    if (!drained.ok) throw new Error(drained.code)
    const { stayed } = (await shop.tables.lots.one({ id: lotId }))!.judgement
    const least = new Map(stayed!.pieces.map(piece => [piece.pieceId, piece.leastPpm]))
    const ids = (await view()).pieces.map(piece => piece.id)
    expect([...least.keys()].toSorted()).toEqual(ids.toSorted())
    expect(least.get(await idOf('1a'))).toBeCloseTo(least.get(await idOf('1b'))!, 6)
    expect(kept.status).toBe(judgement.status)
  })
  it('what was told of it before is told of its parts, and told late of a part it was told of it', async () => {
    const early = await press({ kind: 'look', feel: 'edges_firm', note: null }, [await idOf('1a')], {
      when: { told: 'at', atMs: shop.nowMs - 30 * MS_PER_HOUR, said: null },
      lateReason: 'was in a hurry',
    })
    if (!early.ok) throw new Error(early.code)
    expect(early.value.steps[0]).toMatchObject({ pieces: [1], instead: ['1a'] })
    const turn = (await view()).turns[0]
    expect(turn?.pieces ?? null).toBeNull()
  })
  it('a part may be cut again, and goes by the next letter', async () => {
    const told = await press(cut([await share('1a', 0.6), await share('1a', 0.35)]), [await idOf('1a')])
    if (!told.ok) throw new Error(told.code)
    expect((await view()).pieces.filter(piece => piece.number === 1).map(piece => piece.label).toSorted()).toEqual(['1b', '1c', '1d'])
    expect((await view()).cutUp.map(one => one.label)).toEqual(['1', '1a'])
    const undone = await shop.press(ctx => undoRecord(ctx, told.value.eventId!))
    if (!undone.ok) throw new Error(undone.code)
    expect((await view()).pieces.filter(piece => piece.number === 1).map(piece => piece.label)).toEqual(['1a', '1b'])
  })
  it('weighed anew before the rub, its parts have their shares of that', async () => {
    const before = await view()
    const [whole] = before.rubbed
    const done = await shop.press(ctx =>
      correct(ctx, {
        what: 'piece_weight',
        id: whole!.id,
        value: { netG: whole!.greenG * 1.02, typed: 'again', readings: 1 } as never,
        reason: 'misread',
      }),
    )
    if (!done.ok) throw new Error(done.code)
    const after = await view()
    for (const part of before.pieces.filter(piece => piece.number === 1))
      expect(after.pieces.find(piece => piece.id === part.id)!.greenG).toBeCloseTo(part.greenG * 1.02, 3)
    const part = await shop.press(async ctx =>
      correct(ctx, {
        what: 'piece_weight',
        id: await idOf('1b'),
        value: { netG: 500, typed: '500 g', readings: 1 } as never,
        reason: 'misread',
      }),
    )
    expect(part).toMatchObject({ ok: false, code: 'part_weight' })
  })
  it('too heavy or with something missing is asked about, and taken where it was so', async () => {
    const piece = [await idOf('2')]
    const heavy = cut([await share('2', 0.9), await share('2', 0.6)])
    expect(await press(heavy, piece)).toMatchObject({ ok: false, code: 'cut_heavier' })
    const whole = await share('2', 1)
    const short = cut([await share('2', 0.5), await share('2', 0.4)], {}, { whole })
    expect(await press(short, piece)).toMatchObject({ ok: false, code: 'cut_missing' })
    expect((await view()).pieces.some(one => one.label === '2a')).toBe(false)
    expect(await press({ ...short, sure: true }, piece)).toMatchObject({ ok: true })
  })
  it('cannot be undone once something was told of a part', async () => {
    const told = await press(cut([await share('2a', 0.5), await share('2a', 0.4)]), [await idOf('2a')])
    if (!told.ok) throw new Error(told.code)
    const looked = await press({ kind: 'look', feel: 'raw', note: null }, [await idOf('2c')])
    if (!looked.ok) throw new Error(looked.code)
    expect(await shop.press(ctx => undoRecord(ctx, told.value.eventId!))).toMatchObject({
      ok: false,
      code: 'step_contradicts',
      params: { why: 'not_yet_cut' },
    })
  })
  it('is told of one piece, and cuts something', () => {
    const one = { lots: [{ code, pieces: [1] }], when: { told: 'now' } }
    expect(pressInput.safeParse({ ...one, steps: [cut(['500 g', '400 g'])] }).success).toBe(true)
    const faults = (input: unknown) => pressInput.safeParse(input).error?.issues.map(issue => issue.message)
    expect(faults({ ...one, steps: [cut(['500 g'])] })).toEqual(['nothing_cut'])
    expect(faults({ ...one, lots: [{ code, pieces: [1, 2] }], steps: [cut(['500 g', '400 g'])] })).toEqual(['one_piece_a_cut'])
    expect(faults({ ...one, lots: [{ code, pieces: null }], steps: [cut(['500 g', '400 g'])] })).toEqual(['one_piece_a_cut'])
  })
})
