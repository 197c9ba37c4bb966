import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import type { EventKind } from '#shared/contracts/events'
import type { WriteContext } from '../context'

export interface NewEvent {
  kind: EventKind
  /** Codes of everything the record is about: each shows it in its own book. */
  subjects: readonly string[]
  typed: unknown
  computed?: unknown
  reason?: string
}

/** Adds one record to the book, in the same transaction as the change it tells of. Returns its number. */
export async function recordEvent(ctx: WriteContext, event: NewEvent): Promise<number> {
  const eventId = await ctx.tables.events.insert({
    kind: event.kind, userId: ctx.actor.id, atMs: ctx.nowMs, zone: ctx.zone, arithmetic: ARITHMETIC_VERSION,
    typed: event.typed, computed: event.computed ?? {}, reason: event.reason ?? null,
  })
  await ctx.tables.eventSubjects.insertMany([...new Set(event.subjects)].map(code => ({ eventId, code })))
  return eventId
}
