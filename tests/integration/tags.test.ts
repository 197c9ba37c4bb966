import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { rub, stock } from '../support/goods'
import { must } from '../support/must'
import { INSPECTOR, MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let code: string
let ids: number[]

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  code = (await must(maker.post('/api/lots', rub(await stock(maker))))).code
  ids = (await must(maker.get(`/api/lots/${code}`))).pieces.map((piece: { id: number }) => piece.id)
})
afterAll(() => shop.close())

const tag = (id: number, words: unknown, who = maker) => who.post(`/api/pieces/${id}/tag`, { tag: words })
const tags = async () => (await must(maker.get(`/api/lots/${code}`))).pieces.map((piece: { tag: string | null }) => piece.tag)

it('a piece carries a tag on its lot\'s page and on the floor, and loses it again', async () => {
  await must(tag(ids[0]!, 'red string'))
  expect(await tags()).toEqual(['red string', null])
  const { lots } = await must(maker.get('/api/floor'))
  expect(lots.find((lot: { code: string }) => lot.code === code).pieces[0].tag).toBe('red string')
  await must(tag(ids[0]!, null))
  expect(await tags()).toEqual([null, null])
})
it('in one lot each has its own; words and nothing else', async () => {
  await must(tag(ids[0]!, '14'))
  expect(await tag(ids[1]!, '14')).toMatchObject({ status: 422, body: { code: 'tag_taken' } })
  expect(await tag(ids[1]!, '')).toMatchObject({ status: 422 })
  expect(await tag(ids[1]!, 'x'.repeat(41))).toMatchObject({ status: 422 })
  expect(await tag(ids[1]!, 'a\u0000b')).toMatchObject({ status: 422 })
  expect(await tag(ids[1]!, 14)).toMatchObject({ status: 422 })
  expect(await tag(999_999, '15')).toMatchObject({ status: 404, body: { code: 'no_such_piece' } })
  expect(await tag(ids[1]!, '15', await shop.signedIn(INSPECTOR))).toMatchObject({ status: 403 })
  expect(await tags()).toEqual(['14', null])
})
it('undone, the tag before is back, and the book walks', async () => {
  const done = await must(tag(ids[0]!, 'blue'))
  await must(maker.post(`/api/events/${done.eventId}/undo`, {}))
  expect(await tags()).toEqual(['14', null])
  // One that is not the last leaves what was tied since.
  const first = await must(tag(ids[1]!, 'green'))
  await must(tag(ids[1]!, 'white'))
  await must(owner.post(`/api/events/${first.eventId}/void`, { reason: 'the wrong piece' }))
  expect(await tags()).toEqual(['14', 'white'])
  expect(await must(owner.get('/api/book/check'))).toMatchObject({ broken: null, found: 0 })
})
