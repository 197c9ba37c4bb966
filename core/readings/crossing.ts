import { LONGEST_GAP_MS } from '../rules/guideline'
import type { Celsius, Milliseconds } from '../units/quantities'
import type { CoreReading } from './core-reading'
import { crossesAt } from './line-crossing'

const between = (a: CoreReading, b: CoreReading, tempC: Celsius): Milliseconds =>
  crossesAt({ fromMs: a.atMs, toMs: b.atMs, fromC: a.coreC, toC: b.coreC }, tempC)

/** First instant at or above a temperature, by straight lines between readings; null when not reached. */
export function firstRise(readings: readonly CoreReading[], tempC: Celsius): Milliseconds | null {
  const i = readings.findIndex(reading => reading.coreC >= tempC)
  if (i < 0) return null
  return i === 0 ? readings[0]!.atMs : between(readings[i - 1]!, readings[i]!, tempC)
}

/**
 * Instant from which the temperature stays at or below, by straight lines: the last fall. Null when the last reading is
 * above.
 */
export function lastFall(readings: readonly CoreReading[], tempC: Celsius): Milliseconds | null {
  const i = readings.findLastIndex(reading => reading.coreC > tempC)
  if (i === readings.length - 1) return null
  return i < 0 ? (readings[0]?.atMs ?? null) : between(readings[i]!, readings[i + 1]!, tempC)
}

/**
 * When a temperature was passed downwards for good, as far as the readings show: no sooner than the one, no later than
 * the other.
 */
export interface FallBounds {
  earliestMs: Milliseconds
  /** Null while it is not shown to be below. */
  latestMs: Milliseconds | null
}

/**
 * Bounds of the last fall through a temperature, with the thermometer's error `errorC` either way (0 or more): the last
 * reading that is surely above, and the first that is surely at or below with none above after it. Where they lie at
 * most 30 min apart both are the straight-line time. Readings in order of time, at least one; what is below from the
 * start fell before: both bounds are the first reading.
 */
export function fallBounds(readings: readonly CoreReading[], tempC: Celsius, errorC: Celsius): FallBounds {
  const above = readings.findLastIndex(reading => reading.coreC - errorC > tempC)
  const doubtful = readings.findLastIndex(reading => reading.coreC + errorC > tempC)
  const earliestMs = readings[Math.max(0, above)]!.atMs
  const latestMs = readings[doubtful + 1]?.atMs ?? null
  if (latestMs === null || latestMs - earliestMs > LONGEST_GAP_MS) return { earliestMs, latestMs }
  const lineMs = lastFall(readings, tempC)!
  return { earliestMs: lineMs, latestMs: lineMs }
}
