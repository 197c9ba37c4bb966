import { CURED_COOLING_PPM } from '../rules/house'
import { firstFall, lastFall } from '../smoke/crossing'
import { KILL_FROM_C, type CoreReading } from '../smoke/core-reading'
import { fahrenheitToCelsius, MS_PER_HOUR, type Celsius, type Milliseconds, type Ppm } from '../units/quantities'

/** Two stages of cooling: from 54.4 °C to 26.7 °C, then on to the end. */
export interface CoolingRule {
  id: 'cured' | 'not_cured'
  firstMs: Milliseconds
  secondMs: Milliseconds
  endC: Celsius
}

/** 80 °F, where the first stage ends. */
export const COOLING_MIDDLE_C = fahrenheitToCelsius(80)

/** FSIS stabilization guideline, Appendix B (2021). */
export const COOLING_RULES: Record<CoolingRule['id'], CoolingRule> = {
  cured: { id: 'cured', firstMs: 5 * MS_PER_HOUR, secondMs: 10 * MS_PER_HOUR, endC: fahrenheitToCelsius(45) },
  not_cured: { id: 'not_cured', firstMs: 1.5 * MS_PER_HOUR, secondMs: 5 * MS_PER_HOUR, endC: fahrenheitToCelsius(40) },
}

/** The lot's own nitrite decides: at least 100 ppm ingoing is cured. Give the lowest figure that the weighing shows. */
export const coolingRuleFor = (ingoingPpm: Ppm | null): CoolingRule =>
  ingoingPpm !== null && ingoingPpm >= CURED_COOLING_PPM ? COOLING_RULES.cured : COOLING_RULES.not_cured

export type CoolingStatus = 'no_reading' | 'under_way' | 'in_time' | 'late_first' | 'late_second'

export interface Cooling {
  status: CoolingStatus
  /** Instants by straight lines between readings; null when not reached yet. */
  startMs: Milliseconds | null
  middleMs: Milliseconds | null
  endMs: Milliseconds | null
  rule: CoolingRule
}

/**
 * Was it cooled fast enough? Readings in order of time, from the pull on. The clock starts when the core first falls
 * through 54.4 °C, or at the first reading when that is lower already; a stage ends when the core stays below.
 * Late is said as soon as the last reading is past a stage's time, not only at the end. A piece that never was above
 * 26.7 °C has its first stage in no time.
 */
export function judgeCooling(readings: readonly CoreReading[], rule: CoolingRule): Cooling {
  const last = readings.at(-1)
  if (!last) return { status: 'no_reading', startMs: null, middleMs: null, endMs: null, rule }
  const startMs = firstFall(readings, KILL_FROM_C)
  const middleMs = lastFall(readings, COOLING_MIDDLE_C)
  const endMs = lastFall(readings, rule.endC)
  const found = { startMs, middleMs, endMs, rule }
  if (startMs === null) return { status: 'under_way', ...found }
  if ((middleMs ?? last.atMs) - startMs > rule.firstMs) return { status: 'late_first', ...found }
  if (middleMs === null) return { status: 'under_way', ...found }
  if ((endMs ?? last.atMs) - middleMs > rule.secondMs) return { status: 'late_second', ...found }
  return { status: endMs === null ? 'under_way' : 'in_time', ...found }
}
