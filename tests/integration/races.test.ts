import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { walkBook } from '../support/book'
import { must } from '../support/must'
import { GAPS, race, RACES } from '../support/races/pairs'
import { openRoom, type Room } from '../support/races/room'
import { MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let room: Room

beforeAll(async () => {
  shop = await openTestShop()
  const owner = await shop.signedIn(OWNER)
  await must(owner.post('/api/office/rules', { confirmedBy: 'Ada', confirmedOn: '2026-11-23', reference: 'folder' }))
  room = await openRoom(owner, await shop.signedIn(MAKER))
})
afterAll(() => shop.close())

describe('of two presses that cannot both be true', () => {
  it.each(RACES)('$name: one is believed', async (one) => {
    for (const gapMs of GAPS) {
      const { answers, believed } = await race(room, one, gapMs)
      expect(believed, `${gapMs} ms apart: ${JSON.stringify(answers)}`).toBe(1)
      // The other is told why, and never that we are at fault.
      expect(answers.filter(({ status }) => status >= 500), `${gapMs} ms apart`).toEqual([])
    }
  })
  it('and the book with all that it sealed is whole', async () =>
    expect(await walkBook(shop.adminUrl)).toMatchObject({ broken: null, found: 0 }))
})
