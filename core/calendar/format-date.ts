import type { IsoDate } from './local-day'
import type { Notation } from '../units/format'

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** "23 Nov", "Nov 23" or "2026-11-23". */
export function formatDate(date: IsoDate, dates: Notation['dates']): string {
  if (dates === 'iso') return date
  const month = MONTHS[Number(date.slice(5, 7)) - 1]
  const day = Number(date.slice(8, 10))
  return dates === 'mdy' ? `${month} ${day}` : `${day} ${month}`
}

/** The same with its year: "23 Nov 2026", "Nov 23, 2026" or "2026-11-23". */
export function formatDateInYear(date: IsoDate, dates: Notation['dates']): string {
  if (dates === 'iso') return date
  return `${formatDate(date, dates)}${dates === 'mdy' ? ',' : ''} ${date.slice(0, 4)}`
}
