import { beforeAll, describe, expect, it } from 'vitest'
import { SAME_TURN_MS } from '#core/rules/house'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { drainLot, endCure, turnLot } from './cure-steps'

let shop: MemoryShop
let code: string
let lotId: number
beforeAll(async () => {
  shop = await MemoryShop.open()
  const [lot] = await shop.tables.lots.find({ cureEndedAtMs: null }, { order: [['id', 'DESC']], limit: 1 })
  code = lot!.code
  lotId = lot!.id
})
const turn = () => shop.press(ctx => turnLot(ctx, code))

describe('a lot in the cure', () => {
  it('is turned once when two tablets press at the same time; the second is told who was first', async () => {
    const before = await shop.tables.steps.count({ lotId, kind: 'turn' })
    const [one, other] = await Promise.all([turn(), turn()])
    expect(one.ok).toBe(true)
    expect(other).toMatchObject({ code: 'turned_just_now', params: { code, who: 'Marit Oakhurst', minutes: 0 } })
    expect(await shop.tables.steps.count({ lotId, kind: 'turn' })).toBe(before + 1)
    shop.nowMs += SAME_TURN_MS
    expect((await turn()).ok).toBe(true)
  })
  it('is drained as often as it is, and where nobody said how much, how much stayed is not shown', async () => {
    const drain = () => shop.press(ctx => drainLot(ctx, code))
    const first = await drain()
    shop.nowMs += 3_600_000
    const second = await drain()
    if (!first.ok || !second.ok) throw new Error('refused')
    const [record] = await shop.tables.book.texts([second.value.eventId!])
    expect(JSON.parse(record!.computed)).toMatchObject({ stayed: [{ lot: code, leastPpm: null, why: 'not_seen' }] })
    expect((await shop.tables.lots.one({ code }))!.drainedAtMs).toBe(shop.nowMs)
  })
  it('is drained after it was drained, also by a clock that was set back', async () => {
    const before = shop.nowMs
    await shop.press(ctx => drainLot(ctx, code))
    shop.nowMs -= 3_600_000
    expect((await shop.press(ctx => drainLot(ctx, code))).ok).toBe(true)
    expect((await shop.tables.lots.one({ code }))!.drainedAtMs).toBe(before)
    shop.nowMs = before
  })
  it('is turned no more once it is out; what was refused left nothing behind', async () => {
    expect((await shop.press(ctx => endCure(ctx, code, 'as this test has it'))).ok).toBe(true)
    shop.nowMs += SAME_TURN_MS
    const [turns, records] = [await shop.tables.steps.count({ lotId, kind: 'turn' }), await shop.tables.events.count()]
    expect(await turn()).toMatchObject({ code: 'cure_over', params: { code } })
    expect(await shop.press(ctx => endCure(ctx, code, 'as this test has it'))).toMatchObject({ code: 'cure_over' })
    expect(await shop.press(ctx => turnLot(ctx, 'L-9999'))).toMatchObject({ code: 'no_such_lot' })
    expect([await shop.tables.steps.count({ lotId, kind: 'turn' }), await shop.tables.events.count()]).toEqual([turns, records])
  })
})
