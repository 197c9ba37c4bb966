import { MS_PER_HOUR, type Celsius, type Milliseconds } from '../units/quantities'
import { KILL_FROM_C, type CoreReading } from './core-reading'
import { firstRise } from './crossing'

/** 50 °F. */
const GROWTH_FROM_C: Celsius = 10
const CURED_MS = 6 * MS_PER_HOUR
const SALT_ONLY_MS = 4 * MS_PER_HOUR

export type ComeUpStatus = 'not_started' | 'under_way' | 'in_time' | 'late'
export interface ComeUp { status: ComeUpStatus, elapsedMs: Milliseconds, allowedMs: Milliseconds }

/**
 * Time for the core to pass 10 to 54.4 °C: within 6 h (FSIS Appendix A, 2021), salt-only pieces 4 h (house rule).
 * A first reading above 10 °C starts the count there. Readings in order of time. Late also while still under way.
 */
export function comeUp(readings: readonly CoreReading[], saltOnly: boolean): ComeUp {
  const allowedMs = saltOnly ? SALT_ONLY_MS : CURED_MS
  const startMs = firstRise(readings, GROWTH_FROM_C)
  const last = readings.at(-1)
  if (startMs === null || !last) return { status: 'not_started', elapsedMs: 0, allowedMs }
  const endMs = firstRise(readings, KILL_FROM_C)
  const elapsedMs = (endMs ?? last.atMs) - startMs
  if (elapsedMs > allowedMs) return { status: 'late', elapsedMs, allowedMs }
  return { status: endMs === null ? 'under_way' : 'in_time', elapsedMs, allowedMs }
}
