import type { Store } from '../../db/database'
import type { WriteContext, Writer } from '../context'
import { appendEvents } from './append-events'
import { entriesOf } from './record-event'

/** Work that was written, and the number of its first record in the book. */
export interface Written<T> {
  value: T
  eventId: number | null
}

/** Runs a use case in one transaction: the change and its records stand together or not at all. */
export const inBook = <T>(
  store: Store,
  writer: Writer,
  work: (ctx: WriteContext) => Promise<T>,
  how?: Parameters<Store['transaction']>[1],
): Promise<Written<T>> =>
  store.transaction(async (tables) => {
    const ctx: WriteContext = { ...writer, tables, entries: [] }
    const value = await work(ctx)
    return { value, eventId: await appendEvents(tables, writer, entriesOf(ctx)) }
  }, how)
