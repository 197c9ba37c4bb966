import { HEAT_FROM_C, THROUGH } from '../rules/house'
import { COME_UP_MS, COME_UP_SALT_ONLY_MS, GROWTH_FROM_C, KILL_FROM_C, LONGEST_GAP_MS } from '../rules/guideline'
import type { Celsius, Millimetres, Milliseconds } from '../units/quantities'
import type { CoreReading } from '../readings/core-reading'
import { firstRise } from '../readings/crossing'

/** `not_bound`: the core stayed under 30 °C. `not_shown`: nobody knows when the core left 10 °C. */
export type ComeUpStatus = 'not_bound' | 'under_way' | 'in_time' | 'late' | 'not_shown'
export interface ComeUp {
  status: ComeUpStatus
  elapsedMs: Milliseconds
  allowedMs: Milliseconds
  startMs: Milliseconds | null
}

export interface ComeUpQuestion {
  saltOnly: boolean
  /** When the piece left a place that was on record at 10 °C or less; null when no record shows that. */
  coldUntilMs: Milliseconds | null
  /** The heat is over: what is under 54.4 °C counts to its peak, not to the last reading. */
  ended?: boolean
}

/**
 * Time for the core to pass 10 to 54.4 °C, or to its peak where that is lower: within 6 h (FSIS Appendix A, 2021),
 * salt-only pieces 4 h (house rule). Binds every heat whose core passes 30 °C. Starts at the last core reading of 10 °C
 * or less, or when the piece left a cold place, whichever is later; ends at the first reading of 54.4 °C or more, or on
 * the straight line over a gap of at most 30 min. Readings in order of time. Late also while still under way, and from
 * the first reading on where the start is not known. Example: 4 °C at 8:00, 9 °C at 8:30, 54.4 °C at 14:15: 5 h 45 min,
 * in time.
 */
export function comeUp(
  readings: readonly CoreReading[],
  { saltOnly, coldUntilMs, ended = false }: ComeUpQuestion,
): ComeUp {
  const allowedMs = saltOnly ? COME_UP_SALT_ONLY_MS : COME_UP_MS
  const peak = readings.reduce<CoreReading | null>(
    (highest, reading) => (highest === null || reading.coreC > highest.coreC ? reading : highest),
    null,
  )
  if (peak === null || peak.coreC <= HEAT_FROM_C) return { status: 'not_bound', elapsedMs: 0, allowedMs, startMs: null }
  const arrival = readings.findIndex(reading => reading.coreC >= KILL_FROM_C)
  const rising = arrival < 0 ? readings : readings.slice(0, arrival + 1)
  const lastCold = rising.findLast(reading => reading.coreC <= GROWTH_FROM_C)?.atMs ?? null
  const startMs
    = coldUntilMs === null || lastCold === null ? (coldUntilMs ?? lastCold) : Math.max(coldUntilMs, lastCold)
  const arrived = arrival < 0 ? null : arrivalMs(readings, arrival)
  const endMs = arrived ?? (ended ? peak.atMs : readings.at(-1)!.atMs)
  const elapsedMs = Math.max(0, endMs - (startMs ?? readings[0]!.atMs))
  const status
    = elapsedMs > allowedMs
      ? 'late'
      : startMs === null
        ? 'not_shown'
        : arrived === null && !ended
          ? 'under_way'
          : 'in_time'
  return { status, elapsedMs, allowedMs, startMs }
}

/** How bad a rise is, from not bound to late: several of one smoke are told by the worst. */
export const RISE_RANK: Readonly<Record<ComeUp['status'], number>> = { not_bound: 0, in_time: 1, under_way: 2, not_shown: 3, late: 4 }

/** First reading of 54.4 °C or more, or the straight line to it where the reading before is at most 30 min away. */
const arrivalMs = (readings: readonly CoreReading[], arrival: number): Milliseconds =>
  arrival > 0 && readings[arrival]!.atMs - readings[arrival - 1]!.atMs <= LONGEST_GAP_MS
    ? firstRise(readings, KILL_FROM_C)!
    : readings[arrival]!.atMs

/**
 * True when a place's readings show it at 10 °C or less for the last hours before a piece left it: 4 h, or 8 for pieces
 * over 50 mm. Readings in order of time; one at or before those hours must be cold too, or nobody knows.
 */
export function leftCold(
  readings: readonly { atMs: Milliseconds; tempC: Celsius }[],
  leftMs: Milliseconds,
  thicknessMm: Millimetres,
): boolean {
  const fromMs = leftMs - (thicknessMm <= THROUGH.thinMm ? THROUGH.thinMs : THROUGH.thickMs)
  const before = readings.findLastIndex(reading => reading.atMs <= fromMs)
  return (
    before >= 0
    && readings
      .slice(before)
      .filter(reading => reading.atMs <= leftMs)
      .every(reading => reading.tempC <= GROWTH_FROM_C)
  )
}
