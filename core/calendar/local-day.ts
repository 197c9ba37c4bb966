import { Temporal } from 'temporal-polyfill'
import { remembered } from './remembered'
import type { Milliseconds } from '../units/quantities'

/** A calendar date, "2026-03-08". */
export type IsoDate = string

/** The calendar day on the shop's wall at an instant (ms since 1970, UTC). Zone is an IANA name, else RangeError. */
export const localDay = remembered(
  (instantMs: Milliseconds, zone: string): IsoDate =>
    Temporal.Instant.fromEpochMilliseconds(instantMs).toZonedDateTimeISO(zone).toPlainDate().toString(),
)

/** The clock on the shop's wall, "07:45". */
export const localTime = remembered((instantMs: Milliseconds, zone: string): string =>
  Temporal.Instant.fromEpochMilliseconds(instantMs)
    .toZonedDateTimeISO(zone)
    .toPlainTime()
    .toString({ smallestUnit: 'minute' }),
)

/** Date and clock on the shop's wall to the second, "2026-03-08 07:45:09". */
export const localSecond = (instantMs: Milliseconds, zone: string): string =>
  Temporal.Instant.fromEpochMilliseconds(instantMs)
    .toZonedDateTimeISO(zone)
    .toPlainDateTime()
    .toString({ smallestUnit: 'second' })
    .replace('T', ' ')

/** Whole calendar days from one date to another; negative when `to` is earlier. Clock changes do not count. */
export const daysBetween = remembered(
  (from: IsoDate, to: IsoDate): number =>
    Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to), { largestUnit: 'days' }).days,
)

export const addDays = remembered(
  (date: IsoDate, days: number): IsoDate => Temporal.PlainDate.from(date).add({ days }).toString(),
)

/**
 * The instant at which the shop's clock shows a time on a date, ms since 1970 UTC. A time that the clock skips
 * moves forward by the skip; one that comes twice is the first.
 */
export const instantOf = remembered(
  (date: IsoDate, time: string, zone: string): Milliseconds =>
    Temporal.PlainDateTime.from(`${date}T${time}`).toZonedDateTime(zone, { disambiguation: 'compatible' })
      .epochMilliseconds,
)

/** True for a name the time zone database knows. */
export function isZone(zone: string): boolean {
  try {
    Temporal.Instant.fromEpochMilliseconds(0).toZonedDateTimeISO(zone)
    return true
  }
  catch {
    return false
  }
}
