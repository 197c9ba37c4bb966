import { beforeEach, beforeAll, describe, expect, it } from 'vitest'
import { sumOf } from '#core/lists/sum-of'
import { LATE_REASON_MS, SAME_TURN_MS } from '#core/rules/house'
import { MS_PER_HOUR, MS_PER_MINUTE } from '#core/units/quantities'
import { pressInput } from '#shared/steps/press'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { undoRecord } from '../voids/void-record'
import { recordPress } from './record-press'

let shop: MemoryShop
let code: string
let lotId: number
let pieceIds: number[]
let garage: number
beforeAll(async () => {
  shop = await MemoryShop.open()
  const lots = await shop.tables.lots.find({ cureEndedAtMs: null, method: 'dry' }, { order: [['id', 'ASC']] })
  code = lots[0]!.code
  lotId = lots[0]!.id
  pieceIds = (await shop.tables.pieces.find({ lotId }, { order: [['number', 'ASC']] })).map(piece => piece.id)
  garage = (await shop.tables.places.find())[0]!.id
})
// Each begins on a day of its own: what was told before is no twin of it.
beforeEach(() => {
  shop.nowMs += 12 * MS_PER_HOUR
})

type More = Record<string, unknown>
const press = (steps: More[], more: More = {}) =>
  shop.press(ctx =>
    recordPress(
      ctx,
      pressInput.parse({ steps, lots: [{ code, pieces: null }], when: { told: 'now' }, ...more }),
    ),
  )
const turn = { kind: 'turn', how: 'turned', face: null }
const drain = (liquid: More | null, more: More = {}) => ({
  kind: 'drain',
  how: 'poured_off',
  liquid,
  back: false,
  saltLies: false,
  ...more,
})
const weighed = (typed: string) => ({ told: 'weighed', weight: typed })
const stateOf = async (id: number) => (await shop.tables.pieces.one({ id }))!
const stepsOf = (kind: 'turn' | 'drain' | 'move' | 'out') => shop.tables.steps.find({ lotId, kind }, { order: [['id', 'ASC']] })

describe('a press', () => {
  it('tells two steps of all pieces as one record', async () => {
    const told = await press([turn, drain({ told: 'rough', rough: 'cup' })])
    if (!told.ok) throw new Error(told.code)
    expect(told.value.steps.map(step => step.kind)).toEqual(['turn', 'drain'])
    const [last] = (await stepsOf('drain')).slice(-1)
    expect(last).toMatchObject({ pieces: pieceIds, eventId: told.value.eventId, fromAtMs: shop.nowMs })
    expect(last!.figures).toMatchObject({ drained: { lowG: 60 } })
    expect(await shop.tables.lots.one({ id: lotId })).toMatchObject({ drainedAtMs: shop.nowMs })
  })
  it('told late lies at its hour, and what came later stays the last', async () => {
    await press([drain(null)])
    const lastMs = shop.nowMs
    shop.nowMs += MS_PER_HOUR
    expect((await press([drain(null)], { when: { told: 'ago', minutes: 180 } })).ok).toBe(true)
    expect(await shop.tables.lots.one({ id: lotId })).toMatchObject({ drainedAtMs: lastMs })
  })
  it('of one piece moves that piece alone, and undone it lies where it lay', async () => {
    const [first, second] = pieceIds as [number, number]
    const before = await stateOf(first)
    const there = { kind: 'move', placeId: garage, spot: 'shelf 2' }
    const told = await press([there], { lots: [{ code, pieces: [first] }] })
    if (!told.ok) throw new Error(told.code)
    expect(await stateOf(first)).toMatchObject({ placeId: garage, spot: 'shelf 2', stage: 'cure' })
    expect((await stateOf(second)).spot).not.toBe('shelf 2')
    expect((await shop.press(ctx => undoRecord(ctx, told.value.eventId!))).ok).toBe(true)
    expect(await stateOf(first)).toEqual(before)
  })
  it('told twice by two tablets is told once, unless it was done twice', async () => {
    const [one, other] = await Promise.all([press([turn]), press([turn])])
    expect(one.ok).toBe(true)
    expect(other).toMatchObject({ code: 'told_already', params: { code, kind: 'turn', who: 'Marit Oakhurst' } })
    expect((await press([turn], { again: true })).ok).toBe(true)
    shop.nowMs += SAME_TURN_MS
    expect((await press([turn])).ok).toBe(true)
  })
  it('of several lots is all recorded or none', async () => {
    const others = await shop.tables.lots.find({ cureEndedAtMs: null }, { order: [['id', 'ASC']] })
    const both = others.slice(0, 2).map(lot => ({ code: lot.code, pieces: null }))
    const told = await press([turn], { lots: both })
    if (!told.ok) throw new Error(told.code)
    expect(new Set(told.value.steps.map(step => step.lot))).toEqual(new Set(both.map(lot => lot.code)))
    const before = await shop.tables.steps.count()
    shop.nowMs += MS_PER_HOUR
    expect(await press([turn], { lots: [...both, { code: 'L-9999', pieces: null }] })).toMatchObject({
      code: 'no_such_lot',
      path: ['lots', 2, 'code'],
    })
    expect(await shop.tables.steps.count()).toBe(before)
  })
})

describe('the least that stayed', () => {
  /** One in bags, of which nothing was told to have run off. */
  let other: { id: number; lots: { code: string; pieces: null }[] }
  beforeAll(async () => {
    const lots = await shop.tables.lots.find({ cureEndedAtMs: null, method: 'dry' }, { order: [['id', 'DESC']] })
    const [whole] = lots.filter(lot => (lot.judgement.stayed?.lostShare ?? 1) < 1e-9)
    other = { id: whole!.id, lots: [{ code: whole!.code, pieces: null }] }
  })
  const stayed = async () => (await shop.tables.lots.one({ id: other.id }))!.judgement.stayed!
  const pressOther = (steps: More[]) => press(steps, { lots: other.lots })
  it('falls with what is drained, is not shown where nobody saw, and comes back with the undo', async () => {
    const before = await stayed()
    const told = await pressOther([drain(weighed('20 g'))])
    if (!told.ok) throw new Error(told.code)
    const after = await stayed()
    expect(after.leastPpm).toBeLessThan(before.leastPpm!)
    expect(after.leastPpm).toBeGreaterThan(0)
    expect(told.value.lots[0]!.leastPpm).toBe(after.leastPpm)
    const unseen = await press([drain(null)], { lots: other.lots, again: true })
    if (!unseen.ok) throw new Error(unseen.code)
    expect(await stayed()).toMatchObject({ leastPpm: null, why: 'not_seen' })
    for (const { value } of [unseen, told])
      expect(await shop.press(ctx => undoRecord(ctx, value.eventId!))).toMatchObject({ ok: true })
    expect(await stayed()).toEqual(before)
  })
  it('is shown again once the meat was weighed, and not by a weight that cannot be', async () => {
    const [pieces, parts] = [await shop.tables.pieces.find({ lotId: other.id }), await shop.tables.lotIngredients.find({ lotId: other.id })]
    const massG = sumOf(pieces, piece => piece.greenG) + sumOf(parts, part => part.weighedG)
    await pressOther([drain(null)])
    shop.nowMs += MS_PER_HOUR
    const weigh = (massG: number, more: More = {}) =>
      pressOther([{ kind: 'weigh', weight: `${Math.round(massG)} g`, saltLies: false, ...more }])
    expect(await weigh(massG + 900)).toMatchObject({ code: 'weighed_more', path: ['lots', 0, 'pieces'] })
    expect(await weigh(massG - 40, { scaleId: 9999 })).toMatchObject({ code: 'no_such_scale' })
    expect((await weigh(massG - 40, { saltLies: true })).ok).toBe(true)
    expect((await stayed()).why).toBe('not_seen')
    shop.nowMs += MS_PER_HOUR
    expect((await weigh(massG - 40)).ok).toBe(true)
    expect((await stayed()).leastPpm).toBeGreaterThan(0)
  })
})

describe('what a press is refused for', () => {
  it('an hour that lies ahead; a day late without a word', async () => {
    expect(await press([turn], { when: { told: 'at', atMs: shop.nowMs + MS_PER_HOUR, said: null } })).toMatchObject({
      code: 'not_yet_happened',
    })
    const late = { when: { told: 'at', atMs: shop.nowMs - LATE_REASON_MS - MS_PER_MINUTE * 40, said: 'yesterday' } }
    expect(await press([turn], late)).toMatchObject({ code: 'late_reason_missing', path: ['lateReason'] })
    expect((await press([turn], { ...late, lateReason: 'the tablet was flat' })).ok).toBe(true)
    expect((await stepsOf('turn')).at(-1)!.lateReason).toBe('the tablet was flat')
  })
  it('more liquid than meat, and much of it until somebody is sure', async () => {
    const pieces = await shop.tables.pieces.find({ lotId })
    const greenG = pieces.reduce((sum, piece) => sum + piece.greenG, 0)
    expect(await press([drain(weighed(`${Math.ceil(greenG) + 1} g`))])).toMatchObject({ code: 'drained_over' })
    const much = weighed(`${Math.ceil(greenG * 0.2)} g`)
    expect(await press([drain(much)])).toMatchObject({ code: 'drained_much' })
    expect((await press([drain(much, { sure: true })])).ok).toBe(true)
  })
  it('a place, a piece that is not known', async () => {
    expect(await press([{ kind: 'move', placeId: 9999, spot: null }])).toMatchObject({ code: 'no_such_place' })
    expect(await press([turn], { lots: [{ code, pieces: [999_999] }] })).toMatchObject({ code: 'no_such_piece' })
  })
  it('before the rub, and after it came out: both steps, both hours, and what mends it', async () => {
    const { rubbedAtMs } = (await shop.tables.lots.one({ id: lotId }))!
    const early = { when: { told: 'at', atMs: rubbedAtMs - MS_PER_HOUR, said: null }, lateReason: 'found on paper' }
    expect(await press([turn], early)).toMatchObject({
      code: 'step_contradicts',
      params: { why: 'before_rub', second: 'turn', secondMs: rubbedAtMs - MS_PER_HOUR, mend: 'other_time' },
    })
    const out = { kind: 'out', rinses: 1 }
    expect((await press([out])).ok).toBe(true)
    const outMs = shop.nowMs
    expect(await shop.tables.lots.one({ id: lotId })).toMatchObject({ cureEndedAtMs: outMs })
    shop.nowMs += MS_PER_HOUR
    expect(await press([turn])).toMatchObject({
      code: 'step_contradicts',
      params: { why: 'out_of_cure', first: 'out', firstMs: outMs, second: 'turn', secondMs: shop.nowMs },
    })
    // It was turned before it came out, and nobody had told.
    expect((await press([turn], { when: { told: 'ago', minutes: 90 } })).ok).toBe(true)
    // Out before that turn cannot be either.
    expect(await press([out], { when: { told: 'ago', minutes: 600 }, again: true })).toMatchObject({
      code: 'step_contradicts',
    })
  })
})
