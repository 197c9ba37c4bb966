import { beforeEach, describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '#core/units/quantities'
import { placeInput, placeReadingInput } from '#shared/contracts/places'
import { pressInput } from '#shared/steps/press'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { correct } from '../corrections/correct'
import { correctionInput } from '#shared/contracts/corrections'
import { dispose } from '../holds/holds'
import { recordPress } from '../press/record-press'
import { undoRecord } from '../voids/void-record'
import { readPlace } from './read-place'
import { addPlace, changePlace } from './set-up-place'

let shop: MemoryShop
let coldRoom: number
let garage: number
let lot: { id: number; code: string }
let pieces: number[]
beforeEach(async () => {
  shop = await MemoryShop.open()
  coldRoom = (await shop.tables.places.one({ name: 'Cold room' }))!.id
  garage = (await shop.tables.places.one({ kind: 'garage' }))!.id
  const lots = await shop.tables.lots.find({ fridgeId: coldRoom, cureEndedAtMs: null, method: 'dry' }, { order: [['id', 'DESC']] })
  lot = lots[0]!
  pieces = (await shop.tables.pieces.find({ lotId: lot.id }, { order: [['number', 'ASC']] })).map(piece => piece.id)
})
const read = (placeId: number, tempC: number) =>
  shop.press(ctx => readPlace(ctx, placeId, placeReadingInput.parse({ temperature: { typed: String(tempC), unit: 'C' } })))
const move = (placeId: number, ids: number[] | null, minutes = 0) =>
  shop.press(ctx =>
    recordPress(
      ctx,
      pressInput.parse({
        steps: [{ kind: 'move', placeId, spot: null }],
        lots: [{ code: lot.code, pieces: ids }],
        when: minutes ? { told: 'ago', minutes } : { told: 'now' },
      }),
    ),
  )
const holds = async (reason: 'place_warm' | 'place_warm_sum' = 'place_warm') =>
  (await shop.tables.holds.find({ lotId: lot.id, reason }, { order: [['id', 'ASC']] })).map(hold => ({
    id: hold.id,
    pieces: hold.pieceIds,
    about: hold.facts,
    worst: hold.worst,
    open: hold.disposition === null,
    changed: hold.changedEventId,
  }))
const later = (hours: number) => {
  shop.nowMs += hours * MS_PER_HOUR
}
/** Three hours at 8 °C. */
async function warmHours(placeId: number) {
  await read(placeId, 8)
  later(1.5)
  await read(placeId, 8.4)
  later(1.5)
  await read(placeId, 8)
}

describe('a place that is too warm', () => {
  it('holds what lies in it after two hours, once, piece by piece', async () => {
    await read(coldRoom, 8)
    later(1)
    await read(coldRoom, 8.2)
    expect(await holds()).toEqual([])
    later(1.5)
    await read(coldRoom, 8)
    expect(await holds()).toMatchObject([{ pieces, about: 'F-0001', worst: 8.2, open: true }])
    // It goes on: the same hold takes it over.
    later(1)
    await read(coldRoom, 9)
    expect(await holds()).toMatchObject([{ worst: 9 }])
  })
  it('holds no piece that lies elsewhere, and none for the hours before it came', async () => {
    expect((await move(garage, pieces.slice(0, 1))).ok).toBe(true)
    await warmHours(garage)
    expect(await holds()).toMatchObject([{ pieces: pieces.slice(0, 1) }])
    await read(coldRoom, 3)
    later(1)
    await read(coldRoom, 3)
    // Moved there only now: the garage's warm hours are not its own.
    expect((await move(garage, pieces.slice(1))).ok).toBe(true)
    expect(await holds()).toHaveLength(1)
  })
  it('a move told late brings the warm hours along', async () => {
    await read(garage, 3)
    await warmHours(garage)
    expect(await holds()).toEqual([])
    expect((await move(garage, null, 180)).ok).toBe(true)
    expect(await holds()).toMatchObject([{ pieces, open: true }])
  })
  it('once decided stays decided, and a warm day after it holds again', async () => {
    await warmHours(coldRoom)
    later(0.2)
    await read(coldRoom, 3)
    const [first] = await holds()
    expect((await shop.press(ctx => dispose(ctx, first!.id, { disposition: 'release', text: 'core measured' }))).ok).toBe(true)
    later(1)
    await read(coldRoom, 3)
    later(1)
    await read(coldRoom, 3)
    expect((await holds()).filter(hold => hold.open)).toEqual([])
    later(24)
    await warmHours(coldRoom)
    expect((await holds()).filter(hold => hold.open).length).toBeGreaterThan(0)
  })
  it('decided while it was still warm is held again once it lay there longer', async () => {
    await warmHours(coldRoom)
    const [first] = await holds()
    await shop.press(ctx => dispose(ctx, first!.id, { disposition: 'release', text: 'core measured' }))
    later(1)
    await read(coldRoom, 8)
    expect((await holds()).map(hold => hold.open)).toEqual([false, true])
  })
  it('set right or undone, the hold says by which record the facts changed, and stays', async () => {
    await read(coldRoom, 3)
    later(0.1)
    await read(coldRoom, 8)
    later(1.5)
    const middle = await read(coldRoom, 8.4)
    later(1.5)
    const end = await read(coldRoom, 8)
    if (!end.ok || !middle.ok) throw new Error('not read')
    const undone = await shop.press(ctx => undoRecord(ctx, end.value.eventId!))
    if (!undone.ok) throw new Error(undone.code)
    expect(await holds()).toMatchObject([{ open: true, changed: undone.value.eventId }])
    later(0.1)
    await read(coldRoom, 8)
    expect(await holds()).toMatchObject([{ open: true, changed: null }])
    const [last] = await shop.tables.placeReadings.find({ placeId: coldRoom }, { order: [['id', 'DESC']], limit: 1 })
    const input = correctionInput.parse({
      what: 'fridge_reading',
      id: last!.id,
      value: { typed: '3', unit: 'C' },
      reason: 'read the wrong line',
    })
    expect((await shop.press(ctx => correct(ctx, input))).ok).toBe(true)
    expect((await holds())[0]!.open).toBe(true)
  })
  it('over the limit for more than a day in all holds as well', async () => {
    await read(coldRoom, 3)
    for (let hour = 0; hour < 30; hour += 6) {
      await read(coldRoom, 5)
      later(6)
    }
    await read(coldRoom, 5)
    expect(await holds('place_warm_sum')).toHaveLength(1)
    expect(await holds()).toEqual([])
  })
})

describe('places as the Office keeps them', () => {
  const given = (more: Record<string, unknown> = {}) => placeInput.parse({ name: 'Loft', kind: 'drying_room', ...more })
  it('have a code, a name of their own, and instruments of the right kind', async () => {
    expect(await shop.press(ctx => addPlace(ctx, given({ target: { typed: '54', unit: 'F' }, targetRh: '80 %' })))).toMatchObject({
      ok: true,
      value: { code: 'F-0005' },
    })
    expect(await shop.tables.places.one({ name: 'Loft' })).toMatchObject({ kind: 'drying_room', targetRh: 80, can: null })
    expect(await shop.press(ctx => addPlace(ctx, given()))).toMatchObject({ code: 'name_taken', path: ['name'] })
    const scale = (await shop.tables.instruments.one({ kind: 'scale' }))!.id
    expect(await shop.press(ctx => addPlace(ctx, given({ name: 'Attic', hygrometerId: scale })))).toMatchObject({
      code: 'no_such_hygrometer',
    })
  })
  it('go out of use when nothing lies in them any more', async () => {
    const out = placeInput.parse({ name: 'Cold room', kind: 'cold_room', inUse: false })
    expect(await shop.press(ctx => changePlace(ctx, coldRoom, out))).toMatchObject({ code: 'place_not_empty', path: ['inUse'] })
    const shed = placeInput.parse({ name: 'North garage', kind: 'garage', inUse: false })
    expect((await shop.press(ctx => changePlace(ctx, garage, shed))).ok).toBe(true)
    expect(await move(garage, null)).toMatchObject({ code: 'no_such_place' })
  })
  it('one that is not there is said, and nothing is written', async () => {
    const records = await shop.tables.events.count()
    expect(await read(99, 3)).toMatchObject({ code: 'no_such_place' })
    expect(await shop.tables.events.count()).toBe(records)
  })
  it('humidity is read less what the hygrometer was found off', async () => {
    const id = await shop.press(ctx => addPlace(ctx, given()))
    if (!id.ok) throw new Error(id.code)
    const reading = placeReadingInput.parse({ humidity: '78.5 % RH' })
    expect(await shop.press(ctx => readPlace(ctx, id.value.id, reading))).toMatchObject({ ok: true, value: { verdict: 'own_plan' } })
    expect(await shop.tables.placeReadings.one({ placeId: id.value.id })).toMatchObject({ tempC: null, rh: 78.5 })
  })
})
