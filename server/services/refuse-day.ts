import { localDay } from '#core/calendar/local-day'
import { refuse, type FieldPath, type Refusal, type WriteContext } from './context'

/**
 * A day that is told of meat lies between the day on which that was there and today, on the shop's clock. `from`: the
 * code that it is about, and its first day.
 */
export function refuseDay(
  { nowMs, zone }: Pick<WriteContext, 'nowMs' | 'zone'>,
  day: string,
  from: { code: string; day: string },
  path: FieldPath,
): Refusal | null {
  const today = localDay(nowMs, zone)
  if (day < from.day) return refuse('day_before_rub', { day, code: from.code, fromDay: from.day }, path)
  return day > today ? refuse('day_ahead', { day, today }, path) : null
}
