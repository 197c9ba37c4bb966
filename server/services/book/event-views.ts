import type { EventView } from '#shared/contracts/events'
import type { Tables } from '../../db/store'

/** Records about a code, oldest first; or, without a code, the newest `limit` of the whole book, newest first. */
export async function eventViews(tables: Tables, about: string | null, limit = 500): Promise<EventView[]> {
  const ids = about === null ? null : (await tables.eventSubjects.find({ code: about })).map(row => row.eventId)
  const events = ids === null
    ? await tables.events.find({}, { order: [['id', 'DESC']], limit })
    : await tables.events.find({ id: ids }, { order: [['id', 'ASC']] })
  const [users, voids] = await Promise.all([tables.users.find(), tables.events.find({ voidsId: events.map(event => event.id) })])
  const initials = new Map(users.map(user => [user.id, user.initials]))
  const voidOf = new Map(voids.map(event => [event.voidsId, { id: event.id, who: event.who, atMs: event.atMs, reason: event.reason }]))
  return events.map(event => ({
    id: event.id, kind: event.kind, atMs: event.atMs, zone: event.zone, who: event.who, initials: initials.get(event.userId) ?? '', station: event.station,
    typed: JSON.parse(event.typed), computed: JSON.parse(event.computed), reason: event.reason, subjects: JSON.parse(event.subjects) as string[],
    voidsId: event.voidsId, voided: voidOf.get(event.id) ?? null, clockBehindMs: event.clockBehindMs, hash: event.hash,
  }))
}
