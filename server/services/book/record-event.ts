import type { NewEvent, WriteContext } from '../context'

/**
 * Lays a record down for the book. It is chained and stored at the end of the same transaction as the change it tells
 * of.
 */
export function recordEvent(ctx: WriteContext, event: NewEvent): void {
  ctx.entries.push(event)
}

/**
 * Records as they are to be stored. The deed stands before the holds that follow from it, whichever was laid down first: by
 * its number it is undone, and it tells which holds lost their ground.
 */
export function entriesOf({ entries, changedHolds }: WriteContext): NewEvent[] {
  const deed = entries.find(entry => entry.kind !== 'held') ?? entries[0]
  if (!deed) return []
  const first = changedHolds ? { ...deed, changesHolds: changedHolds } : deed
  return [first, ...entries.filter(entry => entry !== deed)]
}
