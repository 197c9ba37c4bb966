import { COOLING_MIDDLE_C, COOLING_RULES, CURED_COOLING_PPM, type CoolingRule, KILL_FROM_C } from '../rules/guideline'
import { fallBounds } from '../readings/crossing'
import type { CoreReading } from '../readings/core-reading'
import type { Celsius, Milliseconds, Ppm } from '../units/quantities'

/** The lot's own nitrite decides: at least 100 ppm ingoing is cured. Give the lowest figure that the weighing shows. */
export const coolingRuleFor = (ingoingPpm: Ppm | null): CoolingRule =>
  ingoingPpm !== null && ingoingPpm >= CURED_COOLING_PPM ? COOLING_RULES.cured : COOLING_RULES.not_cured

/**
 * `in_time`: every stage is shown to have been short enough, whatever happened between readings. `late_…`: it was too
 * long even at its shortest. `not_shown_…`: nobody measured often enough to tell. Late comes before not shown, the
 * first stage before the second.
 */
export type CoolingStatus
  = 'no_reading' | 'under_way' | 'in_time' | 'late_first' | 'late_second' | 'not_shown_first' | 'not_shown_second'

export interface CoolingStage {
  shortestMs: Milliseconds
  longestMs: Milliseconds | null
}

export interface Cooling {
  status: CoolingStatus
  /** Latest instants that the readings show; null when not reached yet. */
  startMs: Milliseconds | null
  middleMs: Milliseconds | null
  endMs: Milliseconds | null
  first: CoolingStage
  second: CoolingStage
  rule: CoolingRule
}

const NO_STAGE: CoolingStage = { shortestMs: 0, longestMs: null }

/**
 * Was it cooled fast enough? Core readings in order of time, from the last one in the heat on; `errorC` is the
 * thermometer's error either way. A stage is as long as its bounds allow: a night without readings shows nothing. Late
 * is said as soon as the last reading is past a stage's time. A heat that peaked under 54.4 °C begins its first stage
 * at its peak. Example: 60 °C at 20:00, 50 °C at 20:30 and 5 °C at 7:00, all between unread: not shown. Source: FSIS
 * Appendix B (2021).
 */
export function judgeCooling(readings: readonly CoreReading[], rule: CoolingRule, errorC: Celsius = 0): Cooling {
  if (readings.length === 0)
    return { status: 'no_reading', startMs: null, middleMs: null, endMs: null, first: NO_STAGE, second: NO_STAGE, rule }
  const peakC = Math.max(...readings.map(reading => reading.coreC))
  const peakMs = readings.find(reading => reading.coreC === peakC)!.atMs
  const start
    = peakC < KILL_FROM_C ? { earliestMs: peakMs, latestMs: peakMs } : fallBounds(readings, KILL_FROM_C, errorC)
  const middle = fallBounds(readings, COOLING_MIDDLE_C, errorC)
  const end = fallBounds(readings, rule.endC, errorC)
  const stage = (from: typeof start, to: typeof start): CoolingStage => ({
    shortestMs: from.latestMs === null ? 0 : Math.max(0, to.earliestMs - from.latestMs),
    longestMs: to.latestMs === null ? null : Math.max(0, to.latestMs - from.earliestMs),
  })
  const [first, second] = [stage(start, middle), stage(middle, end)]
  const found = { startMs: start.latestMs, middleMs: middle.latestMs, endMs: end.latestMs, first, second, rule }
  return { status: statusOf(found), ...found }
}

function statusOf({ startMs, middleMs, endMs, first, second, rule }: Omit<Cooling, 'status'>): CoolingStatus {
  if (startMs === null) return 'under_way'
  if (first.shortestMs > rule.firstMs) return 'late_first'
  if (second.shortestMs > rule.secondMs) return 'late_second'
  if (middleMs !== null && first.longestMs! > rule.firstMs) return 'not_shown_first'
  if (endMs !== null && second.longestMs! > rule.secondMs) return 'not_shown_second'
  return middleMs === null || endMs === null ? 'under_way' : 'in_time'
}

export const isLate = (status: CoolingStatus): boolean => status === 'late_first' || status === 'late_second'
export const isNotShown = (status: CoolingStatus): boolean =>
  status === 'not_shown_first' || status === 'not_shown_second'
