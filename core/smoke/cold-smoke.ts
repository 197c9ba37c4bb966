import { MS_PER_HOUR, type Celsius, type Milliseconds } from '../units/quantities'

/**
 * A session without heat: readings of the core, or where nobody measured it of the chamber, which is no colder for
 * long.
 */
export interface ColdSession {
  fromMs: Milliseconds
  toMs: Milliseconds
  readings: readonly { atMs: Milliseconds; tempC: Celsius }[]
}

/**
 * House rules, for want of a guideline: hours over all sessions. Chilling in between adds nothing and takes nothing
 * away.
 */
const STEPS = [
  { aboveC: 5, askMs: 24 * MS_PER_HOUR, holdMs: 48 * MS_PER_HOUR },
  { aboveC: 15, askMs: 8 * MS_PER_HOUR, holdMs: 24 * MS_PER_HOUR },
  { aboveC: 25, askMs: 2 * MS_PER_HOUR, holdMs: Infinity },
] as const
/** Salt only: nothing but salt and cold keeps it. */
const SALT_ONLY_C: Celsius = 4

export interface ColdSmoke {
  status: 'none' | 'short' | 'ask' | 'hold'
  /** Hours above each temperature, as milliseconds; what nobody measured counts as warm. */
  above: { aboveC: Celsius; ms: Milliseconds }[]
}

/**
 * Time of a session above a temperature: each reading holds until the next, the warmer of the two; before the first,
 * the first.
 */
function timeAbove({ fromMs, toMs, readings }: ColdSession, aboveC: Celsius): Milliseconds {
  const points = readings.filter(reading => reading.atMs >= fromMs && reading.atMs <= toMs)
  if (points.length === 0) return toMs - fromMs
  const edges = [fromMs, ...points.map(point => point.atMs), toMs]
  return edges.slice(1).reduce((sum, edge, i) => {
    const warmest = Math.max(points[Math.max(0, i - 1)]!.tempC, points[Math.min(points.length - 1, i)]!.tempC)
    return warmest > aboveC ? sum + edge - edges[i]! : sum
  }, 0)
}

/** Time over all sessions above a temperature; what nobody measured counts. */
export const sessionsAbove = (sessions: readonly ColdSession[], aboveC: Celsius): Milliseconds =>
  sessions.reduce((sum, session) => sum + timeAbove(session, aboveC), 0)

/** How long pieces were smoked cold, and whether that asks for a decision. The piece stays raw whatever comes out. */
export function judgeColdSmoke(sessions: readonly ColdSession[], saltOnly: boolean): ColdSmoke {
  const above = STEPS.map(({ aboveC }) => ({ aboveC, ms: sessionsAbove(sessions, aboveC) }))
  if (sessions.length === 0) return { status: 'none', above }
  const passes = (key: 'askMs' | 'holdMs') => STEPS.some((step, i) => above[i]!.ms > step[key])
  if (passes('holdMs') || (saltOnly && sessionsAbove(sessions, SALT_ONLY_C) > 0)) return { status: 'hold', above }
  return { status: passes('askMs') ? 'ask' : 'short', above }
}
