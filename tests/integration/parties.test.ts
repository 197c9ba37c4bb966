import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { must } from '../support/must'
import { INSPECTOR, MAKER, openTestShop, type TestShop } from '../support/shop'

let shop: TestShop
let maker: Client
const SUPPLIERS = Array.from({ length: 30 }, (_, n) => `Farm ${String(n + 1).padStart(2, '0')}`)
const CUSTOMERS = ['Harbour Kitchen', 'farm shop 100 %', 'Müllers Ecke', 'Farm_Door']

beforeAll(async () => {
  shop = await openTestShop()
  maker = await shop.signedIn(MAKER)
  const known = [...SUPPLIERS.map(name => ['supplier', name]), ...CUSTOMERS.map(name => ['customer', name])]
  for (const [kind, name] of known)
    await must(maker.post('/api/parties', { kind, name, contact: null, approval: null, note: null }))
})
afterAll(() => shop.close())

const found = async (query: Record<string, string>) => {
  const { status, body } = await maker.get(`/api/parties?${new URLSearchParams(query)}`)
  return { status, names: body.rows?.map((row: { name: string }) => row.name), more: body.more, code: body.code }
}

it('the store brings the first twenty by name, and says that there are more', async () => {
  const { body } = await maker.get('/api/store')
  expect(body.parties).toMatchObject({ more: true })
  expect(body.parties.rows).toHaveLength(20)
  expect(body).not.toHaveProperty('suppliers')
})
it.each([
  [{ find: 'farm 2', kind: 'supplier' }, SUPPLIERS.slice(19, 29)],
  [{ find: '30' }, ['Farm 30']],
  [{ find: ' KITCHEN ' }, ['Harbour Kitchen']],
  [{ kind: 'customer' }, ['farm shop 100 %', 'Farm_Door', 'Harbour Kitchen', 'Müllers Ecke']],
  [{ find: '%' }, ['farm shop 100 %']],
  [{ find: '_' }, ['Farm_Door']],
  [{ find: '\\' }, []],
  [{ find: 'harbour', kind: 'supplier' }, []],
])('%j finds %j', async (query, names) => {
  expect(await found(query)).toEqual({ status: 200, names, more: false, code: undefined })
})
it.each([{ find: 'x'.repeat(200) }, { kind: 'neighbour' }, { page: '2' }])('%j is refused', async (query) => {
  expect(await found(query)).toMatchObject({ status: 422, code: 'no_such_page' })
})
it('an inspector reads them too', async () => {
  const inspector = await shop.signedIn(INSPECTOR)
  expect((await inspector.get('/api/parties?find=door')).body.rows).toHaveLength(1)
})
