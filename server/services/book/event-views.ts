import type { EventView } from '#shared/contracts/events'
import type { Tables } from '../../db/store'

/** Records about a code, oldest first; or, without a code, the newest `limit` of the whole book, newest first. */
export async function eventViews(tables: Tables, about: string | null, limit = 500): Promise<EventView[]> {
  const ids = about === null ? null : (await tables.eventSubjects.find({ code: about })).map(row => row.eventId)
  const events = ids === null
    ? await tables.events.find({}, { order: [['id', 'DESC']], limit })
    : await tables.events.find({ id: ids }, { order: [['id', 'ASC']] })
  const [users, subjects] = await Promise.all([
    tables.users.find(), tables.eventSubjects.find({ eventId: events.map(event => event.id) }),
  ])
  return events.map((event) => {
    const who = users.find(user => user.id === event.userId)!
    return {
      id: event.id, kind: event.kind, atMs: event.atMs, zone: event.zone, who: who.name, initials: who.initials,
      typed: event.typed, computed: event.computed, reason: event.reason,
      subjects: subjects.filter(subject => subject.eventId === event.id).map(subject => subject.code),
    }
  })
}
