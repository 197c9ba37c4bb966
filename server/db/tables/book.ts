import type { EventKind } from '#shared/contracts/events'
import { instant, int, json, nullable, text, uuid } from '../column'
import { tableSpec } from '../table'

/** The book: every write, never changed. */
export const events = tableSpec('events', {
  kind: text<EventKind>(32), userId: int(), atMs: instant(), zone: text(64), arithmetic: text(16),
  typed: json<unknown>(), computed: json<unknown>(), reason: nullable(text(500)),
})

export const eventSubjects = tableSpec('event_subjects', { eventId: int(), code: text(16) })

/** Answers already given, by the key the client made: the same write sent twice is stored once. */
export const answers = tableSpec('answers', { clientKey: uuid(), userId: int(), requestHash: text(64), answer: nullable(json<unknown>()) })

export const codeCounters = tableSpec('code_counters', { kind: text(16), last: int() })
