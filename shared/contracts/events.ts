import type { Milliseconds } from '#core/units/quantities'
import { z } from 'zod'
import type { EventKind } from './event-kinds'
import type { InstrumentMark } from './instruments'
import type { ComputedOf, TypedOf } from './records'
import type { Finding } from '#core/book/findings'

/** Which records: those before a number, newest first; without one, the newest of all. */
export const bookPageQuery = z.strictObject({ before: z.coerce.number().int().min(1).optional() })
/** Records a page. */
export const BOOK_PAGE = 150

/** A record as it is shown; what it holds follows from its kind. */
export interface EventView<Kind extends EventKind = EventKind> {
  id: number
  kind: Kind
  atMs: Milliseconds
  zone: string
  /** Version of the arithmetic that computed it. */
  arithmetic: string
  who: string
  initials: string
  /** The device it was recorded on. */
  station: string
  typed: TypedOf<Kind>
  /** What was typed is so long that it is fetched when the record is opened. */
  longBytes?: number
  computed: ComputedOf<Kind>
  reason: string | null
  subjects: string[]
  /** The record that this one voids. */
  voidsId: number | null
  /** The record that voids this one. */
  voided: { id: number; who: string; atMs: Milliseconds; reason: string | null } | null
  /** How far the computer's clock lay behind the record before; null when it did not. */
  clockBehindMs: Milliseconds | null
  /** Instruments it was read on that were not in order then. */
  marks: InstrumentMark[]
  hash: string
}

/** What a check of the whole book found. */
export interface BookCheckView {
  records: number
  /** Rows of the shop held against the book; 0 when it seals none yet. */
  rows: number
  end: { id: number; hash: string }
  broken: Finding | null
  /** The first of them; `found` counts all. */
  findings: Finding[]
  found: number
  /** Codes of lots whose steps contradict each other: the book is none the worse. */
  contradicting: string[]
  ms: Milliseconds
  /** True when the application's database user may change or remove records, which it should not. */
  changeable: boolean
}
