import type { Milliseconds } from '#core/units/quantities'

/** A calendar's address that is open, without the address: it is said once, when it is made. */
export interface CalendarLink {
  atMs: Milliseconds
  /** When a calendar last fetched it, to an hour; null: never. */
  seenAtMs: Milliseconds | null
}

/** The same as the owner sees everybody's. */
export interface CalendarOpen extends CalendarLink {
  id: number
  who: string
}
