import { beforeAll, describe, expect, it } from 'vitest'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { recordEvent } from '../book/record-event'
import { KeptAccounts } from './kept-accounts'

let shop: MemoryShop
let read: string[][]
let accounts: KeptAccounts<string>
beforeAll(async () => {
  shop = await MemoryShop.open()
  accounts = new KeptAccounts()
  read = []
})
const lots = [
  { id: 1, code: 'N-0001', finishedAtMs: 5 },
  { id: 2, code: 'N-0002', finishedAtMs: null },
]
const look = async (tables = shop.tables) =>
  accounts.of(tables, lots, async (asked) => {
    read.push(asked.map(lot => lot.code))
    return new Map(asked.map(lot => [lot.id, `${lot.code} as read ${read.length}`]))
  })

describe('accounts that are over', () => {
  it('are read once, open ones each time', async () => {
    expect([...(await look())].toSorted()).toEqual([[1, 'N-0001 as read 1'], [2, 'N-0002 as read 1']])
    expect([...(await look())].toSorted()).toEqual([[1, 'N-0001 as read 1'], [2, 'N-0002 as read 2']])
    expect(read).toEqual([['N-0001', 'N-0002'], ['N-0002']])
  })
  it('are read again once a record speaks of them', async () => {
    await shop.press(async (ctx) => {
      recordEvent(ctx, { kind: 'ingredient_opened', subjects: ['N-0001'], typed: {} })
      return { ok: true, value: {} }
    })
    expect((await look()).get(1)).toBe('N-0001 as read 3')
  })
  it('are read anew by a write', async () => {
    await shop.press(async (ctx) => {
      await look(ctx.tables)
      return { ok: true, value: {} }
    })
    expect(read.at(-1)).toEqual(['N-0001', 'N-0002'])
  })
})
