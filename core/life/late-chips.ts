import { addDays, instantOf, localDay } from '../calendar/local-day'
import { MS_PER_MINUTE, type Milliseconds } from '../units/quantities'

/** When a thing was done, as a tap tells it. */
export type LateChip = { said: 'ago'; minutes: number } | { said: 'this_morning' | 'last_evening'; atMs: Milliseconds }

const AGO_MINUTES = [10, 20, 30, 60] as const
/** What people mean by it where they say no hour. House. */
const MORNING = '07:00'
const EVENING = '18:00'

/**
 * What is offered for something told late, by the shop's clock: some minutes ago; this morning, once it is over; last
 * evening.
 */
export function lateChips(nowMs: Milliseconds, zone: string): LateChip[] {
  const today = localDay(nowMs, zone)
  const morningMs = instantOf(today, MORNING, zone)
  return [
    ...AGO_MINUTES.map(minutes => ({ said: 'ago' as const, minutes })),
    ...(nowMs >= morningMs + 60 * MS_PER_MINUTE ? [{ said: 'this_morning' as const, atMs: morningMs }] : []),
    { said: 'last_evening', atMs: instantOf(addDays(today, -1), EVENING, zone) },
  ]
}
