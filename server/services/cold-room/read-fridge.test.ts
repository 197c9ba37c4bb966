import { beforeAll, expect, it } from 'vitest'
import { MS_PER_HOUR } from '#core/units/quantities'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { readFridge } from './read-fridge'

let shop: MemoryShop
let fridgeId: number
let curing: string[]
beforeAll(async () => {
  shop = await MemoryShop.open()
  fridgeId = (await shop.tables.fridges.one({ name: 'Cold room' }))!.id
  curing = (await shop.tables.lots.find({ fridgeId, cureEndedAtMs: null })).map(lot => lot.code)
})
const read = (tempC: number) =>
  shop.press(ctx => readFridge(ctx, fridgeId, { typed: String(tempC), tempC }))
const held = async () => {
  const holds = await shop.tables.holds.find({ reason: 'fridge_warm', disposition: null })
  const id = holds.flatMap(hold => hold.lotId ?? [])
  const lots = await shop.tables.lots.find({ id, fridgeId, cureEndedAtMs: null })
  return lots.map(lot => lot.code)
}

it('a warm hour is a warning; over two hours above 7 °C hold every lot that cures in it', async () => {
  expect(curing.length).toBeGreaterThan(1)
  const before = await held()
  expect(await read(8.2)).toMatchObject({ ok: true })
  shop.nowMs += MS_PER_HOUR
  expect((await read(8.4)).ok).toBe(true)
  expect(await held()).toEqual(before)
  shop.nowMs += 1.5 * MS_PER_HOUR
  expect((await read(8.1)).ok).toBe(true)
  expect((await held()).toSorted()).toEqual(curing.toSorted())
})
it('a fridge that is not there is said, and nothing is written', async () => {
  const records = await shop.tables.events.count()
  expect(await shop.press(ctx => readFridge(ctx, 99, { typed: '3', tempC: 3 }))).toMatchObject({ code: 'no_such_fridge' })
  expect(await shop.tables.events.count()).toBe(records)
})
