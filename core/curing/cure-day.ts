import { daysBetween, localDay, type IsoDate } from '../calendar/local-day'
import type { Milliseconds } from '../units/quantities'

/**
 * Cure day at an instant: day 0 is the calendar day of rubbing in the shop's time zone, day 1 the next.
 * Counts calendar days, so clock changes and midnight work do not shift it. Negative before rubbing.
 */
export const cureDay = (rubbedOn: IsoDate, nowMs: Milliseconds, zone: string): number =>
  daysBetween(rubbedOn, localDay(nowMs, zone))
