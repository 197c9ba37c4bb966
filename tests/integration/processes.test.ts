import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Client } from '../support/client'
import { meat } from '../support/goods'
import { MAKER, openTestShop, type TestShop } from '../support/shop'

let shop: TestShop
let other: Awaited<ReturnType<TestShop['another']>>
let here: Client
let there: Client

beforeAll(async () => {
  shop = await openTestShop()
  other = await shop.another()
  here = await shop.signedIn(MAKER)
  there = new Client(other.address)
  there.cookie = here.cookie
})
afterAll(async () => {
  await other.stop()
  await shop.close()
})

const count = async () => Number((await shop.sql<{ n: number }>('SELECT COUNT(*) n FROM meat_lots'))[0]!.n)

it('a sign-in at one process holds at the other', async () => {
  expect((await there.get('/api/session')).body.user.name).toBe('maker person')
})
it('two processes writing at once give every delivery a code of its own', async () => {
  const before = await count()
  const replies = await Promise.all(
    Array.from({ length: 40 }, (_, i) => (i % 2 ? here : there).post('/api/deliveries', meat())),
  )
  expect(replies.map(reply => reply.status).filter(status => status !== 200)).toEqual([])
  expect(new Set(replies.map(reply => reply.body.code)).size).toBe(40)
  expect(await count()).toBe(before + 40)
})
it('one write sent to both is stored once', async () => {
  const before = await count()
  const key = { 'idempotency-key': randomUUID() }
  const replies = await Promise.all(
    [here, there, here, there].map(client => client.post('/api/deliveries', meat(), key)),
  )
  expect(new Set(replies.map(reply => reply.body.code)).size).toBe(1)
  expect(await count()).toBe(before + 1)
})
it('what one process acknowledged is there when it is killed', async () => {
  const [code] = (await there.post('/api/deliveries', meat({ supplierLot: 'last words' }))).body.meatCodes
  process.kill(other.pid!, 'SIGKILL')
  expect((await here.get('/api/store')).body.meat[0]).toMatchObject({ code, supplierLot: 'last words' })
})
