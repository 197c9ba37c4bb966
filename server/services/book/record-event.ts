import type { NewEvent, WriteContext } from '../context'

/**
 * Lays a record down for the book. It is chained and stored at the end of the same transaction as the change it tells
 * of.
 */
export function recordEvent(ctx: WriteContext, event: NewEvent): void {
  ctx.entries.push(event)
}

/** Records as they are to be stored: the first tells which holds lost their ground. */
export const entriesOf = ({ entries: [first, ...rest], changedHolds }: WriteContext): NewEvent[] =>
  first ? [changedHolds ? { ...first, changesHolds: changedHolds } : first, ...rest] : []
