import { beforeAll, expect, it } from 'vitest'
import { CHAIN_START, walkChain } from '#core/book/walk-chain'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { sha256 } from '../../digest/sha256'
import { refuse, type WriteContext } from '../context'
import { addParty } from '../store/parties'

let shop: MemoryShop
beforeAll(async () => {
  shop = await MemoryShop.open()
})
const add = (name: string) => (ctx: WriteContext) =>
  addParty(ctx, { kind: 'customer', name, contact: null, approval: null, note: null })
const named = (name: string) => shop.tables.parties.count({ name })

it('sent five times at once it is stored once, and every sender gets the first answer', async () => {
  const records = await shop.tables.events.count()
  const answers = await Promise.all(
    Array.from({ length: 5 }, () => shop.press(add('Harbour Kitchen'), { clientKey: 'five' })),
  )
  expect(new Set(answers.map(({ repeated: _, ...answer }) => JSON.stringify(answer))).size).toBe(1)
  expect(answers.map(answer => answer.repeated ?? false)).toEqual([false, true, true, true, true])
  expect([await named('Harbour Kitchen'), (await shop.tables.events.count()) - records]).toEqual([1, 1])
})
it('the same key for something else, or by somebody else, is refused', async () => {
  const other = { clientKey: 'five', requestHash: 'something else' }
  expect(await shop.press(add('Other Kitchen'), other)).toMatchObject({ code: 'key_reused' })
  expect(await shop.press(add('Other Kitchen'), { clientKey: 'five', userId: 2 })).toMatchObject({ code: 'key_reused' })
  expect(await named('Other Kitchen')).toBe(0)
})
it('a refusal rolls everything back and keeps the key free for the corrected try', async () => {
  const refused = async (ctx: WriteContext) => {
    await add('Half Kitchen')(ctx)
    return refuse('already_voided')
  }
  expect(await shop.press(refused, { clientKey: 'again' })).toMatchObject({ code: 'already_voided' })
  expect(await named('Half Kitchen')).toBe(0)
  expect((await shop.press(add('Whole Kitchen'), { clientKey: 'again' })).ok).toBe(true)
})
it('what is changed without a record of it is thrown back whole', async () => {
  const silent = async (ctx: WriteContext) => {
    await ctx.tables.parties.insert({ kind: 'customer', name: 'Silent Kitchen' })
    return { ok: true as const, value: {} }
  }
  await expect(shop.press(silent)).rejects.toThrow('without a record')
  expect(await named('Silent Kitchen')).toBe(0)
})
it('after all of it the chain is unbroken', async () => {
  const { lastId } = (await shop.tables.bookHead.one({ id: 1 }))!
  const { stored, headHash } = await shop.tables.book.readBack(1, lastId)
  const { breaks, at } = walkChain(CHAIN_START, stored, sha256)
  expect([breaks, at.hash, stored.length]).toEqual([[], headHash, lastId])
})
