import type { EventKind } from '#shared/contracts/event-kinds'
import { bigint, instant, int, json, longText, nullable, text, uuid } from '../schema/column'
import { outsideBook, tableSpec } from '../schema/table-spec'

/** The book: every write, chained by hash. The application may read it and add to it, nothing else. */
export const events = outsideBook(
  tableSpec('events', {
    kind: text<EventKind>(32),
    userId: int(),
    who: text(),
    station: text(120),
    atMs: instant(),
    zone: text(64),
    arithmetic: text(16),
    typed: longText(),
    computed: longText(),
    reason: nullable(text(500)),
    subjects: longText(),
    voidsId: nullable(int()),
    clockBehindMs: nullable(bigint()),
    hash: text(64),
  }),
)

/** Which records are about a code: the book's index, and like it only added to. */
export const eventSubjects = outsideBook(tableSpec('event_subjects', { eventId: int(), code: text(16) }))

/** Digests of the rows that a record wrote, apart from it: only a walk reads them. */
export const eventRows = outsideBook(tableSpec('event_rows', { eventId: int(), touched: longText() }))

/**
 * The end of the chain, in one row that every writer locks in turn. A trigger of the owner's moves it with each record.
 */
export const bookHead = outsideBook(tableSpec('book_head', { lastId: int(), hash: text(64), lastAtMs: instant() }))

/** Answers already given, by the key the client made: the same write sent twice is stored once. */
export const answers = outsideBook(
  tableSpec('answers', { clientKey: uuid(), userId: int(), requestHash: text(64), answer: nullable(json<unknown>()) }, [
    'answer',
  ]),
)

export const codeCounters = tableSpec('code_counters', { kind: text(16), last: int() }, ['last'])
