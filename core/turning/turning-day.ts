import { addDays, daysBetween, instantOf, localDay, localTime, type IsoDate } from '../calendar/local-day'
import { TURNING_DAY_FROM } from '../rules/house'
import type { Milliseconds } from '../units/quantities'

/**
 * The date of the turning day that an instant lies in: it runs from 04:00 to 04:00 by the shop's clock, so that late
 * work belongs to the evening before. Zone is an IANA name, else RangeError.
 */
export const turningDate = (atMs: Milliseconds, zone: string): IsoDate => {
  const date = localDay(atMs, zone)
  return localTime(atMs, zone) < TURNING_DAY_FROM ? addDays(date, -1) : date
}

/** Turning days from the one of the rub, which is 0, to the one of an instant. */
export const turningDay = (rubbedAtMs: Milliseconds, atMs: Milliseconds, zone: string): number =>
  daysBetween(turningDate(rubbedAtMs, zone), turningDate(atMs, zone))

/**
 * The instant at which the shop's clock shows a time on a turning day: times before 04:00 belong to its night.
 * A time that the clock skips moves forward by the skip; one that comes twice is the first.
 */
export const onTurningDay = (date: IsoDate, time: string, zone: string): Milliseconds =>
  instantOf(time < TURNING_DAY_FROM ? addDays(date, 1) : date, time, zone)
