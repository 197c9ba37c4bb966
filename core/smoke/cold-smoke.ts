import { sumOf } from '../lists/sum-of'
import { COLD_SMOKE_SALT_ONLY_C, COLD_SMOKE_STEPS } from '../rules/house'
import type { Celsius, Milliseconds } from '../units/quantities'

/**
 * A session without heat: readings of the core, or where nobody measured it of the chamber, which is no colder for
 * long.
 */
export interface ColdSession {
  fromMs: Milliseconds
  toMs: Milliseconds
  readings: readonly { atMs: Milliseconds; tempC: Celsius }[]
}

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
  sumOf(sessions, session => timeAbove(session, aboveC))

/** How long pieces were smoked cold, and whether that asks for a decision. The piece stays raw whatever comes out. */
export function judgeColdSmoke(sessions: readonly ColdSession[], saltOnly: boolean): ColdSmoke {
  const above = COLD_SMOKE_STEPS.map(({ aboveC }) => ({ aboveC, ms: sessionsAbove(sessions, aboveC) }))
  if (sessions.length === 0) return { status: 'none', above }
  const passes = (key: 'askMs' | 'holdMs') => COLD_SMOKE_STEPS.some((step, i) => above[i]!.ms > step[key])
  if (passes('holdMs') || (saltOnly && sessionsAbove(sessions, COLD_SMOKE_SALT_ONLY_C) > 0)) return { status: 'hold', above }
  return { status: passes('askMs') ? 'ask' : 'short', above }
}
