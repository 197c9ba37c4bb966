import type { Milliseconds } from '#core/units/quantities'
import { localDay, localSecond, localTime } from '#core/calendar/local-day'
import type { Notation } from '#core/units/format'
import { formatDate } from '#core/calendar/format-date'

/** Date and clock on the shop's wall. */
export const momentWords = (ms: Milliseconds, zone: string, dates: Notation['dates']): string =>
  `${formatDate(localDay(ms, zone), dates)} ${localTime(ms, zone)}`

export const clockWords = (ms: Milliseconds, zone: string): string => localTime(ms, zone)

/** An instant to the second, with its zone, and the same in UTC: as a record was made. */
export const exactWords = (ms: Milliseconds, zone: string): string =>
  `${localSecond(ms, zone)} ${zone}, ${localSecond(ms, 'UTC')} UTC`
