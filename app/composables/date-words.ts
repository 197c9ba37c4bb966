import { localDay, localSecond, localTime } from '#core/calendar/local-day'
import { MS_PER_DAY, MS_PER_MINUTE } from '#core/units/quantities'
import type { Notation } from '#core/units/format'
import { formatDate } from '#core/units/format-date'

/** Date and clock on the shop's wall. */
export const momentWords = (ms: number, zone: string, dates: Notation['dates']): string =>
  `${formatDate(localDay(ms, zone), dates)} ${localTime(ms, zone)}`

export const clockWords = (ms: number, zone: string): string => localTime(ms, zone)

/** To the second, with its zone, and the same in UTC: as a record was made. */
export const exactWords = (ms: number, zone: string): string =>
  `${localSecond(ms, zone)} ${zone}, ${localSecond(ms, 'UTC')} UTC`

/** Two days, in minutes: from there on days are enough. */
const LONGEST_IN_HOURS = 2 * 24 * 60

/** "45 min", "3 h 20 min", "8 days". */
export function spanWords(ms: number): string {
  const minutes = Math.round(ms / MS_PER_MINUTE)
  if (minutes >= LONGEST_IN_HOURS) return `${Math.round(ms / MS_PER_DAY)} days`
  if (minutes < 60) return `${minutes} min`
  return minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}
