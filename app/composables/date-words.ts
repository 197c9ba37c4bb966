import { localDay, localTime } from '#core/calendar/local-day'
import { MS_PER_DAY, MS_PER_MINUTE } from '#core/units/quantities'
import type { Notation } from '#core/units/format'

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** "23 Nov", "Nov 23" or "2026-11-23"; `iso` is a calendar date. */
export function dateWords(iso: string, dates: Notation['dates']): string {
  if (dates === 'iso') return iso
  const month = MONTHS[Number(iso.slice(5, 7)) - 1]
  const day = Number(iso.slice(8, 10))
  return dates === 'mdy' ? `${month} ${day}` : `${day} ${month}`
}

/** Date and clock on the shop's wall. */
export const momentWords = (ms: number, zone: string, dates: Notation['dates']): string =>
  `${dateWords(localDay(ms, zone), dates)} ${localTime(ms, zone)}`

export const clockWords = (ms: number, zone: string): string => localTime(ms, zone)

/** Two days, in minutes: from there on days are enough. */
const LONGEST_IN_HOURS = 2 * 24 * 60

/** "45 min", "3 h 20 min", "8 days". */
export function spanWords(ms: number): string {
  const minutes = Math.round(ms / MS_PER_MINUTE)
  if (minutes >= LONGEST_IN_HOURS) return `${Math.round(ms / MS_PER_DAY)} days`
  if (minutes < 60) return `${minutes} min`
  return minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}
