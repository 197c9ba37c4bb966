import { atKey } from '#core/lists/at-key'
import type { Milliseconds } from '#core/units/quantities'
import type { EventKind } from '#shared/contracts/event-kinds'
import { BOOK_PAGE, type EventView } from '#shared/contracts/events'
import type { InstrumentMark } from '#shared/contracts/instruments'
import type { ComputedOf, TypedOf } from '#shared/contracts/records'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { events as eventsTable } from '../../db/tables/book'
import { refuse, type Answer } from '../context'
import { below } from '../../db/schema/where'
import { loadMarks, type MarkAt } from '../instruments/marks'

type Bag = Record<string, unknown>
/** Where a record names what it was read on. */
const INSTRUMENT_KEYS = [
  'thermometerId',
  'coreThermometerId',
  'chamberThermometerId',
  'scaleId',
  'meatScaleId',
  'mixScaleId',
]

/** Instruments of a record that were not in order when it was made, each once. */
function marksOf(markAt: MarkAt, atMs: Milliseconds, bag: Bag): InstrumentMark[] {
  const ids = new Set(INSTRUMENT_KEYS.flatMap(key => (typeof bag[key] === 'number' ? [bag[key]] : [])))
  return [...ids].flatMap(id => markAt(id, atMs) ?? []).filter(mark => mark.state !== 'checked')
}

const COLUMNS = [
  'kind',
  'userId',
  'who',
  'station',
  'atMs',
  'zone',
  'arithmetic',
  'reason',
  'subjects',
  'voidsId',
  'clockBehindMs',
  'hash',
] as const
type RecordRow = Pick<RowOf<typeof eventsTable>, 'id' | (typeof COLUMNS)[number]>

/** What a record holds as typed, however long. */
export async function typedOf(tables: Tables, id: number): Promise<Answer<{ typed: unknown }>> {
  const [event] = await tables.events.pick(['typed'], { id })
  return event ? { ok: true, value: { typed: JSON.parse(event.typed) as unknown } } : refuse('no_such_record')
}

/** Records about a code, oldest first. */
export async function eventsAbout(tables: Tables, code: string): Promise<EventView[]> {
  const ids = (await tables.eventSubjects.pick(['eventId'], { code })).map(row => row.eventId)
  return ids.length === 0
    ? []
    : viewsOf(tables, await tables.events.pick(COLUMNS, { id: ids }, { order: [['id', 'ASC']] }))
}

/** A page of the whole book, newest first; or of what lies before a record. */
export const eventPage = async (tables: Tables, before: number | undefined): Promise<EventView[]> =>
  viewsOf(
    tables,
    await tables.events.pick(COLUMNS, before === undefined ? {} : { id: below(before) }, {
      order: [['id', 'DESC']],
      limit: BOOK_PAGE,
    }),
  )

async function viewsOf(tables: Tables, events: readonly RecordRow[]): Promise<EventView[]> {
  if (events.length === 0) return []
  const [texts, users, voids, markAt] = await Promise.all([
    tables.book.texts(events.map(event => event.id)),
    tables.users.pick(['initials']),
    tables.events.pick(['voidsId', 'who', 'atMs', 'reason'], { voidsId: events.map(event => event.id) }),
    loadMarks(tables, Math.min(...events.map(event => event.atMs))),
  ])
  const initials = new Map(users.map(user => [user.id, user.initials]))
  const voidOf = new Map(
    voids.map(event => [event.voidsId, { id: event.id, who: event.who, atMs: event.atMs, reason: event.reason }]),
  )
  const textOf = new Map(texts.map(text => [text.id, text]))
  return events.map((event) => {
    const text = atKey(textOf, event.id)
    const computed = JSON.parse(text.computed) as Bag
    // Left out, all that is told of it is how much it holds.
    const typed = text.typed === null ? { count: text.readings ?? 0 } : (JSON.parse(text.typed) as Bag)
    return {
      id: event.id,
      kind: event.kind,
      atMs: event.atMs,
      zone: event.zone,
      arithmetic: event.arithmetic,
      who: event.who,
      initials: initials.get(event.userId) ?? '',
      station: event.station,
      typed: typed as TypedOf<EventKind>,
      ...(text.typed === null ? { longBytes: text.typedBytes } : {}),
      computed: computed as ComputedOf<EventKind>,
      marks: marksOf(markAt, event.atMs, { ...typed, ...computed }),
      reason: event.reason,
      subjects: JSON.parse(event.subjects) as string[],
      voidsId: event.voidsId,
      voided: voidOf.get(event.id) ?? null,
      clockBehindMs: event.clockBehindMs,
      hash: event.hash,
    }
  })
}
