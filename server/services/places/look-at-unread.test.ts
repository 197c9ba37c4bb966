import { beforeEach, describe, expect, it } from 'vitest'
import { MS_PER_HOUR, MS_PER_MINUTE } from '#core/units/quantities'
import { placeInput, placeReadingInput } from '#shared/contracts/places'
import { pressInput } from '#shared/steps/press'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { dispose } from '../holds/holds'
import { recordPress } from '../press/record-press'
import { lookAtUnread } from './look-at-unread'
import { readPlace } from './read-place'
import { addPlace } from './set-up-place'

let shop: MemoryShop
let garage: number
let lot: { id: number; code: string }
let pieces: number[]
beforeEach(async () => {
  shop = await MemoryShop.open()
  garage = (await shop.tables.places.one({ kind: 'garage' }))!.id
  const [last] = await shop.tables.lots.find({ cureEndedAtMs: null, method: 'dry', saltOnly: false }, { order: [['id', 'DESC']] })
  lot = last!
  pieces = (await shop.tables.pieces.find({ lotId: lot.id }, { order: [['number', 'ASC']] })).map(piece => piece.id)
  expect((await bring(garage)).ok).toBe(true)
})
const bring = (placeId: number, ids: number[] | null = null) =>
  shop.press(ctx =>
    recordPress(
      ctx,
      pressInput.parse({
        steps: [{ kind: 'move', placeId, spot: null }],
        lots: [{ code: lot.code, pieces: ids }],
        when: { told: 'now' },
      }),
    ),
  )
const read = (tempC: number, hoursAgo = 0, lateReason: string | null = null) =>
  shop.press(ctx =>
    readPlace(
      ctx,
      garage,
      placeReadingInput.parse({
        temperature: { typed: String(tempC), unit: 'C' },
        when: hoursAgo ? { told: 'at', atMs: shop.nowMs - hoursAgo * MS_PER_HOUR, said: null } : { told: 'now' },
        lateReason,
      }),
    ),
  )
const hours = (n: number) => {
  shop.nowMs += n * MS_PER_HOUR
}
const look = () => lookAtUnread(shop.store, shop.nowMs)
const held = async (reason: 'place_not_shown' | 'bench_long' | 'place_warm' = 'place_not_shown') =>
  (await shop.tables.holds.find({ lotId: lot.id, reason }, { order: [['id', 'ASC']] })).map(
    ({ id, pieceIds, facts, fromAtMs, toAtMs, disposition, changedEventId }) => ({
      id,
      pieces: pieceIds,
      place: facts,
      hours: toAtMs === null ? null : (toAtMs - fromAtMs!) / MS_PER_HOUR,
      open: disposition === null,
      changed: changedEventId !== null,
    }),
  )
const decide = (id: number) => shop.press(ctx => dispose(ctx, id, { disposition: 'release', text: 'the logger says 3 °C' }))

describe('a place that nobody reads', () => {
  it('holds what lies in it after a day, with no press, once, however often the shop looks', async () => {
    hours(24)
    await look()
    expect(await held()).toEqual([])
    hours(0.5)
    await look()
    await look()
    expect(await held()).toMatchObject([{ pieces, place: expect.stringMatching(/^F-/), hours: null, open: true }])
    hours(10)
    await look()
    expect(await held()).toHaveLength(1)
    const [event] = await shop.tables.events.find({ kind: 'held' }, { order: [['id', 'DESC']], limit: 1 })
    expect(event).toMatchObject({ station: 'by the clock' })
  })
  it('a reading ends the stretch; told late, with its hour, it takes the ground from the hold', async () => {
    hours(30)
    await look()
    expect((await read(3)).ok).toBe(true)
    expect(await held()).toMatchObject([{ hours: 30, changed: false }])
    expect((await read(3, 15)).ok).toBe(true)
    expect(await held()).toMatchObject([{ open: true, changed: true }])
    expect(await read(3, 26)).toMatchObject({ code: 'late_reason_missing' })
    expect((await read(3, 26, 'written on the door')).ok).toBe(true)
    expect(await read(3, -1)).toMatchObject({ code: 'not_yet_happened' })
  })
  it('a reading told late counts at its hour: warm then, it holds as warm', async () => {
    hours(6)
    await read(9, 5)
    await read(9, 2)
    const [warm] = await held('place_warm')
    expect(warm!.hours).toBeGreaterThanOrEqual(3)
    expect(warm!.hours).toBeLessThanOrEqual(4)
  })
  it('a decision covers what went on until it; after another day it holds again', async () => {
    hours(25)
    await look()
    await decide((await held())[0]!.id)
    expect(await held()).toMatchObject([{ hours: 25, open: false }])
    hours(23)
    await look()
    expect(await held()).toHaveLength(1)
    hours(2)
    await look()
    expect(await held()).toMatchObject([{ open: false }, { open: true, hours: null }])
  })
  it('holds no piece that went to where somebody reads', async () => {
    hours(20)
    const coldRoom = (await shop.tables.places.one({ name: 'Cold room' }))!.id
    await bring(coldRoom, [pieces[0]!])
    hours(5)
    await look()
    expect(await held()).toMatchObject([{ pieces: pieces.slice(1) }])
  })
  it('nothing is asked of a shop whose clock has not begun', async () => {
    await shop.askNoReadings()
    hours(100)
    await look()
    expect(await held()).toEqual([])
  })
})

it('on a counter four hours in all are the end, and are said to the minute', async () => {
  const counter = await shop.press(ctx => addPlace(ctx, placeInput.parse({ name: 'Long counter', kind: 'counter' })))
  const id = counter.ok ? counter.value.id : 0
  hours(1)
  expect(await bring(id)).toMatchObject({ ok: true })
  hours(2)
  await bring(garage)
  hours(1)
  await bring(id)
  hours(2)
  await look()
  expect(await held('bench_long')).toEqual([])
  shop.nowMs += MS_PER_MINUTE
  await look()
  expect(await held('bench_long')).toMatchObject([{ pieces, hours: null, open: true }])
  await bring(garage)
  expect(await held('bench_long')).toMatchObject([{ hours: 5 + 1 / 60 }])
})
