import { expect, it } from 'vitest'
import { MS_PER_DAY } from '#core/units/quantities'
import { PLACE_SHOWN } from '#shared/contracts/places'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { placeViews } from './place-views'

it('a place that loggers feed shows its last temperatures and its last humidity, and reads no more of them', async () => {
  const shop = await MemoryShop.open()
  const { id: placeId } = (await shop.tables.places.one({ inUse: true }))!
  const hygrometer = (await shop.tables.instruments.find())[0]!
  const { id: _id, ...model } = (await shop.tables.placeReadings.find())[0]!
  const now = shop.nowMs
  const told = [
    { agoMs: 20 * MS_PER_DAY, tempC: 9, rh: 99 },
    ...Array.from({ length: 300 }, (_, i) => ({ agoMs: (320 - i) * 60_000, tempC: 2 + (i % 16) / 8, rh: null })),
    ...Array.from({ length: 40 }, (_, i) => ({ agoMs: (40 - i) * 1000, tempC: null, rh: 70 + i / 10 })),
  ]
  await shop.store.transaction(async (tables) => {
    await tables.places.update(placeId, { hygrometerId: hygrometer.id })
    await tables.placeReadings.insertMany(told.map(({ agoMs, tempC, rh }) => ({ ...model, placeId, atMs: now - agoMs, tempC, rh })))
  })

  const { readings } = (await placeViews(shop.tables, () => null, now)).find(view => view.id === placeId)!
  const warmths = readings.filter(reading => reading.tempC !== null)
  expect(warmths.map(reading => reading.tempC)).toEqual(
    told.slice(1, 301).map(one => one.tempC).slice(-PLACE_SHOWN.readings),
  )
  expect(readings.at(-1)).toMatchObject({ rh: 73.9, atMs: now - 1000 })
  expect(readings.length).toBeLessThanOrEqual(2 * PLACE_SHOWN.readings)
  expect(readings.every((reading, i) => i === 0 || readings[i - 1]!.atMs <= reading.atMs)).toBe(true)
})
