import type { Milliseconds } from '#core/units/quantities'
import type { Store } from '../../db/database'
import { inBook } from '../book/in-book'
import { recordEvent } from '../book/record-event'
import { lockShop } from '../lock-rows'
import { ownWriter } from '../own-writer'

/**
 * Clocks that a shop's version before did not know begin at the first start, on record: from then on places are to be
 * read. Nothing that lies in the shop is judged by time before it. Twice does nothing. True when they began now.
 */
export async function beginClocks(store: Store, nowMs: Milliseconds): Promise<boolean> {
  const writer = await ownWriter(store.tables, 'upgrade', nowMs)
  if (!writer || (await store.tables.shops.the({})).placesFromMs !== null) return false
  const { value } = await inBook(store, writer, async (ctx) => {
    await lockShop(ctx.tables)
    const shop = await ctx.tables.shops.the({})
    if (shop.placesFromMs !== null) return false
    await ctx.tables.shops.update(shop.id, { placesFromMs: nowMs })
    recordEvent(ctx, { kind: 'rules_changed', subjects: [], typed: {}, computed: { rule: 'places_read', fromMs: nowMs } })
    return true
  })
  return value
}
