import type { Celsius, Milliseconds } from '../units/quantities'
import type { CoreReading } from './core-reading'

const between = (a: CoreReading, b: CoreReading, tempC: Celsius): Milliseconds =>
  a.atMs + (b.atMs - a.atMs) * (tempC - a.coreC) / (b.coreC - a.coreC)

/** First instant at or above a temperature, by straight lines between readings; null when not reached. */
export function firstRise(readings: readonly CoreReading[], tempC: Celsius): Milliseconds | null {
  const i = readings.findIndex(reading => reading.coreC >= tempC)
  if (i < 0) return null
  return i === 0 ? readings[0]!.atMs : between(readings[i - 1]!, readings[i]!, tempC)
}

/** First instant at or below a temperature after having been above it; null when not so. The first reading counts if it is already below. */
export function firstFall(readings: readonly CoreReading[], tempC: Celsius): Milliseconds | null {
  const i = readings.findIndex(reading => reading.coreC <= tempC)
  if (i < 0) return null
  return i === 0 ? readings[0]!.atMs : between(readings[i - 1]!, readings[i]!, tempC)
}

/** Instant from which the temperature stays at or below: the last fall. Null when the last reading is above. */
export function lastFall(readings: readonly CoreReading[], tempC: Celsius): Milliseconds | null {
  const i = readings.findLastIndex(reading => reading.coreC > tempC)
  if (i === readings.length - 1) return null
  return i < 0 ? readings[0]?.atMs ?? null : between(readings[i]!, readings[i + 1]!, tempC)
}
