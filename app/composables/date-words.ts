import { localDay, localTime } from '#core/calendar/local-day'
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

/** "3 h 20 min", "45 min". */
export function spanWords(ms: number): string {
  const minutes = Math.round(ms / 60_000)
  if (minutes < 60) return `${minutes} min`
  return minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}
