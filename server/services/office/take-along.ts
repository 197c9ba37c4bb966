import type { Milliseconds } from '#core/units/quantities'
import { csvOf, CSV_TABLES } from '../../db/portable/csv'
import { exportShop as exportFrom } from '../../db/portable/export-shop'
import type { Store } from '../../db/database'
import type { SignedIn } from '#shared/contracts/people'
import { inBook } from '../book/in-book'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer } from '../context'
import { theShop } from '../shop/shop-facts'

export { CSV_TABLES }

/** The record that the whole shop went along. */
export async function recordExport(
  store: Store,
  who: { actor: SignedIn; station: string; nowMs: Milliseconds },
): Promise<void> {
  const { zone } = await theShop(store.tables)
  await inBook(store, { ...who, zone, clockRight: true }, async ctx =>
    recordEvent(ctx, { kind: 'shop_exported', subjects: [], typed: {} }),
  )
}

/** The whole shop as JSON, as it stands now. */
export const exportShop = (store: Store, nowMs: Milliseconds): AsyncGenerator<string> => exportFrom(store.slow, nowMs)

/** A table as CSV; tables of the running server are none. */
export const csvTable = (store: Store, name: string): Answer<AsyncGenerator<string>> =>
  CSV_TABLES.includes(name) ? { ok: true, value: csvOf(store.slow, name) } : refuse('no_such_table', { name })
