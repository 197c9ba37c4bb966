import { MINUTES_PER_HOUR, MS_PER_DAY, MS_PER_MINUTE, type Milliseconds } from './quantities'

/** Two days, in minutes: from there on days are enough. */
const LONGEST_IN_HOURS = 48 * MINUTES_PER_HOUR

/** A span of time as people say it, to the minute, or the day from two days on: "45 min", "3 h 20 min", "8 days". */
export function formatSpan(ms: Milliseconds): string {
  const minutes = Math.round(ms / MS_PER_MINUTE)
  if (minutes >= LONGEST_IN_HOURS) return `${Math.round(ms / MS_PER_DAY)} days`
  if (minutes < MINUTES_PER_HOUR) return `${minutes} min`
  const hours = Math.floor(minutes / MINUTES_PER_HOUR)
  const rest = minutes % MINUTES_PER_HOUR
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}
