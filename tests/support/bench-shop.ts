import { afterAll, beforeAll } from 'vitest'
import type { Client } from './client'
import { ingredient, stock, type Stock } from './goods'
import { MAKER, openTestShop, OWNER, type TestShop } from './shop'

/** A curing salt as its certificate has it. */
export const certificate = (more: object = {}) => ({
  number: 'C-9',
  nitritePercent: '6.25',
  nitriteAs: 'NaNO2',
  tolerancePercent: '0.25',
  ...more,
})

/** A stocked shop for the tests of one file: opened before them, closed after. What it has is there once they run. */
export class BenchShop {
  shop!: TestShop
  owner!: Client
  maker!: Client
  stocked!: Stock

  constructor() {
    beforeAll(async () => {
      this.shop = await openTestShop()
      this.owner = await this.shop.signedIn(OWNER)
      this.maker = await this.shop.signedIn(MAKER)
      this.stocked = await stock(this.maker, { weight: '200 kg' })
    })
    afterAll(() => this.shop.close())
  }

  /** The code of what was taken in; a refusal is an error. */
  async code(body: unknown, path = '/api/ingredients'): Promise<string> {
    const reply = await this.maker.post(path, body)
    if (reply.status !== 200) throw new Error(JSON.stringify(reply.body))
    return reply.body.code
  }

  agentLot(agentKind: string, more: object = {}, lot: object = {}): Promise<string> {
    return this.code(ingredient('curing_salt', { agentKind, certificate: certificate(more), ...lot }))
  }

  view = async (lot: string) => (await this.maker.get(`/api/lots/${lot}`)).body
  post = (body: object) => this.maker.post('/api/lots', body)
  lots = async () => Number((await this.shop.sql<{ n: unknown }>('SELECT COUNT(*) n FROM lots'))[0]!.n)
}
