import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { must } from '../support/must'
import { celsius, rub, stock, type Stock } from '../support/goods'
import { MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let s: Stock
beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  s = await stock(maker)
})
afterAll(() => shop.close())

const read = (placeId: number, typed: string) =>
  must(maker.post(`/api/places/${placeId}/readings`, { temperature: celsius(typed) }))
/** The clock goes on: what was told lies an hour further back. */
const anHourLater = async (hours = 1) => {
  for (const [table, column] of [['place_readings', 'at'], ['steps', 'from_at'], ['steps', 'to_at'], ['lots', 'rubbed_at']])
    await shop.sql(`UPDATE ${table} SET ${column} = ${column} - INTERVAL ${hours} HOUR`)
}

it('pieces moved to a warm garage are held there, by the owner let go once the reading was none', async () => {
  expect(await maker.post('/api/office/places', { name: 'Garage', kind: 'garage' })).toMatchObject({ status: 403 })
  const { id: garage } = await must(owner.post('/api/office/places', { name: 'Garage', kind: 'garage' }))
  const { code } = await must(maker.post('/api/lots', rub(s)))
  await anHourLater(6)
  const lot = async () => (await maker.get(`/api/lots/${code}`)).body
  const [first] = (await lot()).pieces
  await read(garage, '3')
  await must(
    maker.post('/api/steps', {
      steps: [{ kind: 'move', placeId: garage, spot: 'shelf 1' }],
      lots: [{ code, pieces: [first.id] }],
      when: { told: 'now' },
    }),
  )
  await anHourLater()
  await read(garage, '9')
  await anHourLater(3)
  const warm = await read(garage, '9')
  expect(warm).toMatchObject({ verdict: 'too_warm', held: true })
  expect((await lot()).holds).toMatchObject([
    { reason: 'place_warm', pieceIds: [first.id], place: 'Garage', worstC: 9, changedBy: null },
  ])
  const { eventId } = await must(maker.post(`/api/events/${warm.eventId}/undo`, {}))
  expect((await lot()).holds).toMatchObject([{ changedBy: eventId, disposition: null }])
  const [hold] = (await lot()).holds
  await must(owner.post(`/api/holds/${hold.id}/disposition`, { disposition: 'release', text: 'the facts changed' }))
  expect((await lot()).openHolds).toEqual([])
})

it('what a form would never send is refused, and nothing of it is kept', async () => {
  const records = async () => (await shop.sql<{ n: number }>('SELECT COUNT(*) AS n FROM events'))[0]!.n
  const before = await records()
  for (const body of [
    { name: 'Shed', kind: 'cellar' },
    { name: 'Shed', kind: 'fridge', can: [] },
    { name: 'Shed', kind: 'fridge', hooks: -1 },
    { name: 'Shed', kind: 'fridge', targetRh: '140' },
    { name: 'Shed\ud800', kind: 'fridge' },
  ])
    expect((await owner.post('/api/office/places', body)).status).toBe(422)
  expect((await maker.post('/api/places/1/readings', {})).body.errors[0]).toMatchObject({ code: 'place_reading_empty' })
  for (const body of [{}, { temperature: null, humidity: null }, { humidity: 'damp' }, { temperature: celsius('900') }])
    expect((await maker.post('/api/places/1/readings', body)).status).toBe(422)
  expect(await maker.post('/api/places/999/readings', { humidity: '70' })).toMatchObject({ status: 404 })
  expect(await records()).toBe(before)
})
