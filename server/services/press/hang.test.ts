import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { MS_PER_DAY, MS_PER_HOUR } from '#core/units/quantities'
import { placeInput, placeReadingInput } from '#shared/contracts/places'
import { pressInput } from '#shared/steps/press'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { lotView } from '../views/lot-view'
import { readPlace } from '../places/read-place'
import { addPlace } from '../places/set-up-place'
import { recordPress } from './record-press'

let shop: MemoryShop
let code: string
let lotId: number
let ids: number[]
let attic: number
let fridge: number
let weighedBefore: number
/** Loss at which it may hang in the warm. */
let dryAt: number
beforeAll(async () => {
  shop = await MemoryShop.open()
  await shop.askNoReadings()
  const [lot] = await shop.tables.lots.find({ cureEndedAtMs: null, method: 'dry' }, { order: [['id', 'ASC']] })
  code = lot!.code
  lotId = lot!.id
  ids = (await shop.tables.pieces.find({ lotId }, { order: [['number', 'ASC']] })).map(piece => piece.id)
  weighedBefore = await shop.tables.steps.count({ lotId, kind: 'weigh' })
  const added = await shop.press(ctx => addPlace(
    ctx,
    placeInput.parse({ name: 'Attic', kind: 'drying_room', hooks: 4, target: { typed: '12.5', unit: 'C' } }),
  ))
  if (!added.ok) throw new Error(added.code)
  attic = added.value.id
  const other = await shop.press(ctx => addPlace(ctx, placeInput.parse({ name: 'Small fridge', kind: 'fridge' })))
  if (!other.ok) throw new Error(other.code)
  fridge = other.value.id
})
beforeEach(() => {
  shop.nowMs += 2 * MS_PER_HOUR
})
type More = Record<string, unknown>
const press = (step: More, pieces: number[] | null = null, more: More = {}) =>
  shop.press(ctx =>
    recordPress(
      ctx,
      pressInput.parse({ steps: [step], lots: [{ code, pieces }], when: { told: 'now' }, despite: 'this test', ...more }),
    ),
  )
const told = async (step: More, pieces: number[] | null = null) => {
  const done = await press(step, pieces)
  if (!done.ok) throw new Error(`${done.code} ${JSON.stringify(done.params)}`)
  return done.value
}
const hang = (more: More = {}) => ({ kind: 'hang', placeId: attic, hooks: [], ...more })
const greenOf = async (id: number) => (await shop.tables.pieces.one({ id }))!.greenG
const weighed = async (id: number, lost: number) => ({ pieces: [id], weight: `${((await greenOf(id)) * (1 - lost)).toFixed(0)} g` })
const holds = async () => (await shop.tables.holds.find({ lotId, disposition: null })).map(hold => hold.reason)

describe('hanging to dry', () => {
  it('is for what is out of the cure, and where meat can hang', async () => {
    expect(await press(hang())).toMatchObject({ ok: false, code: 'step_contradicts', params: { why: 'still_curing' } })
    await told({ kind: 'out', rinses: 1 })
    expect(await press(hang({ placeId: fridge }))).toMatchObject({ ok: false, code: 'no_hanging_place' })
  })
  it('warm, is asked about while it is too wet by its salt', async () => {
    const wet = await press(hang())
    expect(wet).toMatchObject({ ok: false, code: 'hang_wet', params: { placeC: 12.5, lost: 0 } })
    const { activity, needs } = (wet as unknown as { params: { activity: number; needs: number } }).params
    expect(activity).toBeGreaterThan(0.96)
    expect(needs).toBeGreaterThan(0.05)
    dryAt = needs + 0.01
    const groups = await Promise.all(ids.map(id => weighed(id, dryAt)))
    await told({ kind: 'weigh', groups, scaleId: null, saltLies: false }, ids)
  })
  it('dry enough it hangs, each on a hook of its own', async () => {
    const [a, b] = ids as [number, number]
    const twice = pressInput.safeParse({
      steps: [hang({ hooks: [{ piece: a, hook: 1 }, { piece: b, hook: 1 }] })],
      lots: [{ code, pieces: [a, b] }],
      when: { told: 'now' },
    })
    expect(twice.error?.issues.map(issue => issue.message)).toEqual(['hook_twice'])
    await told(hang({ hooks: [{ piece: a, hook: 1 }] }), [a])
    expect(await press(hang({ hooks: [{ piece: b, hook: 1 }] }), [b])).toMatchObject({ ok: false, code: 'hook_taken' })
    await told(hang({ hooks: [{ piece: b, hook: 2 }] }), [b])
    const rest = ids.slice(2)
    if (rest.length > 0) await told(hang(), rest)
    expect((await shop.tables.pieces.one({ id: a }))!).toMatchObject({ stage: 'hang', spot: 'hook 1', placeId: attic })
    expect(await holds()).not.toContain('hung_warm')
  })
  it('is weighed week by week, and its loss shown by piece', async () => {
    for (const [week, more] of [[1, 0.05], [2, 0.09], [3, 0.12]] as const) {
      shop.nowMs += 7 * MS_PER_DAY
      const groups = await Promise.all(ids.map((id, i) => weighed(id, dryAt + more + 0.01 * i)))
      await told({ kind: 'weigh', groups, scaleId: null, saltLies: false }, ids)
      expect(week).toBeGreaterThan(0)
    }
    const view = await lotView(shop.tables, code, shop.nowMs)
    if (!view.ok) throw new Error(view.code)
    expect(view.value.did.filter(step => step.kind === 'weigh')).toHaveLength(4 * ids.length + weighedBefore)
  })
  it('a weight is that of the pieces that lay on the scale, and of no others of the press', async () => {
    const [a, b] = ids as [number, number]
    const stranger = { kind: 'weigh', groups: [{ pieces: [a, 999_999], weight: '3 kg' }], scaleId: null, saltLies: false }
    expect(await press(stranger, [a, b])).toMatchObject({ ok: false, code: 'no_such_piece' })
  })
  it('heavier than last week is asked about, and taken where it is so', async () => {
    const [a] = ids as [number]
    const heavier = { kind: 'weigh', groups: [await weighed(a, dryAt + 0.08)], scaleId: null, saltLies: false }
    shop.nowMs += MS_PER_DAY
    expect(await press(heavier, [a])).toMatchObject({ ok: false, code: 'weighed_above_last' })
    expect(await press({ ...heavier, sure: true }, [a])).toMatchObject({ ok: true })
  })
  it('is moved to where meat hangs, and nowhere else', async () => {
    expect(await press({ kind: 'move', placeId: fridge, spot: null })).toMatchObject({ ok: false, code: 'hangs_not_there' })
    expect(await press({ kind: 'humidity', percent: 75 })).toMatchObject({ ok: true })
  })
  it('mould that is not white holds it, white is the shop’s policy', async () => {
    const [a] = ids
    await told({ kind: 'look', feel: null, mould: 'white', note: null }, [a!])
    expect(await holds()).not.toContain('mould')
    await told({ kind: 'look', feel: null, mould: 'other', note: null }, [a!])
    expect(await holds()).toContain('mould')
  })
  it('at 13 °C is in its plan, and over 15 °C for half a day is not', async () => {
    const read = (temp: string) =>
      shop.press(ctx => readPlace(ctx, attic, placeReadingInput.parse({ temperature: { typed: temp, unit: 'C' } })))
    const before = (await holds()).filter(reason => reason === 'place_warm').length
    for (let i = 0; i < 5; i += 1) {
      await read('13.0')
      shop.nowMs += 6 * MS_PER_HOUR
    }
    expect((await holds()).filter(reason => reason === 'place_warm')).toHaveLength(before)
    for (let i = 0; i < 4; i += 1) {
      await read('17.5')
      shop.nowMs += 6 * MS_PER_HOUR
    }
    await read('17.5')
    expect((await holds()).filter(reason => reason === 'place_warm').length).toBeGreaterThan(before)
  })
  it('out of the cold room into the warm is asked about as at the hanging, and a salt box always', async () => {
    const cold = await shop.press(ctx => addPlace(ctx, placeInput.parse({ name: 'Back room', kind: 'cold_room' })))
    if (!cold.ok) throw new Error(cold.code)
    const open = await shop.tables.lots.find({ cureEndedAtMs: null, method: 'dry' }, { order: [['id', 'DESC']] })
    const [lot] = open.filter(one => one.code !== code)
    const with_ = { lots: [{ code: lot!.code, pieces: null }] }
    expect(await press({ kind: 'out', rinses: 0 }, null, with_)).toMatchObject({ ok: true })
    expect(await press(hang({ placeId: cold.value.id }), null, with_)).toMatchObject({ ok: true })
    const warm = { kind: 'move', placeId: attic, spot: null }
    expect(await press(warm, null, with_)).toMatchObject({ ok: false })
    expect((await shop.tables.pieces.one({ lotId: lot!.id }))!.placeId).toBe(cold.value.id)
    expect(await press(hang(), null, with_)).toMatchObject({ ok: false })
    expect(await press({ ...warm, sure: true }, null, with_)).toMatchObject({ ok: true })
    expect((await shop.tables.holds.find({ lotId: lot!.id })).map(hold => hold.reason)).toContain('hung_warm')
    const [box] = await shop.tables.lots.find({ method: 'excess' })
    expect(await press(hang(), null, { lots: [{ code: box!.code, pieces: null }] })).toMatchObject({ ok: false, code: 'hang_salt_unknown' })
  })
})
