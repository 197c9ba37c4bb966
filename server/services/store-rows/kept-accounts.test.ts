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
  { id: 1, code: 'N-0001' },
  { id: 2, code: 'N-0002' },
]
const look = async (tables = shop.tables) =>
  accounts.of(tables, lots, async (asked) => {
    read.push(asked.map(lot => lot.code))
    return new Map(asked.map(lot => [lot.id, `${lot.code} as read ${read.length}`]))
  })

describe('accounts', () => {
  it('are read once', async () => {
    const first = [...(await look())].toSorted()
    expect(first).toEqual([[1, 'N-0001 as read 1'], [2, 'N-0002 as read 1']])
    expect([...(await look())].toSorted()).toEqual(first)
    expect(read).toEqual([['N-0001', 'N-0002'], []])
  })
  it('are read again once a record speaks of them, the others not', async () => {
    await shop.press(async (ctx) => {
      recordEvent(ctx, { kind: 'ingredient_opened', subjects: ['N-0001'], typed: {} })
      return { ok: true, value: {} }
    })
    expect((await look()).get(1)).toBe('N-0001 as read 3')
    expect(read.at(-1)).toEqual(['N-0001'])
  })
  it('are read anew by a write', async () => {
    await shop.press(async (ctx) => {
      await look(ctx.tables)
      return { ok: true, value: {} }
    })
    expect(read.at(-1)).toEqual(['N-0001', 'N-0002'])
  })
})
