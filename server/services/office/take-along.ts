import { csvOf, CSV_TABLES } from '../../db/portable/csv'
import { exportShop as exportFrom } from '../../db/portable/export-shop'
import type { Store } from '../../db/store'
import { notFound, type Answer } from '../context'

export { CSV_TABLES }

/** The whole shop as JSON, as it stands now. */
export const exportShop = (store: Store, nowMs: number): AsyncGenerator<string> => exportFrom(store.slow, nowMs)

/** A table as CSV; tables of the running server are none. */
export const csvTable = (store: Store, name: string): Answer<AsyncGenerator<string>> =>
  CSV_TABLES.includes(name) ? { ok: true, value: csvOf(store.slow, name) } : notFound('no_such_table', { name })
