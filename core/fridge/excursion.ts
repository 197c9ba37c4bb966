import { FRIDGE_CHECKS } from '../rules/house'
import type { Celsius, Milliseconds } from '../units/quantities'

export interface TemperatureReading {
  atMs: Milliseconds
  tempC: Celsius
}

export type FridgeVerdict = 'cold_enough' | 'warm' | 'hold' | 'too_cold' | 'no_reading'

export interface Excursion {
  fromMs: Milliseconds
  toMs: Milliseconds
}

/**
 * Longest unbroken time above a temperature, readings joined by straight lines; null when never above.
 * Readings in order of time. With one reading above, the excursion has no length yet.
 */
export function longestAbove(readings: readonly TemperatureReading[], limitC: Celsius): Excursion | null {
  let longest: Excursion | null = null
  let startMs: Milliseconds | null = null
  const close = (toMs: Milliseconds) => {
    if (startMs === null) return
    if (longest === null || toMs - startMs > longest.toMs - longest.fromMs) longest = { fromMs: startMs, toMs }
    startMs = null
  }
  readings.forEach((reading, i) => {
    const before = readings[i - 1]
    if (reading.tempC > limitC) {
      startMs ??= before ? crossingMs(before, reading, limitC) : reading.atMs
    }
    else if (startMs !== null && before) {
      close(crossingMs(before, reading, limitC))
    }
  })
  const last = readings.at(-1)
  if (last) close(last.atMs)
  return longest
}

/** When the straight line between two readings passes a temperature that lies between them. */
function crossingMs(a: TemperatureReading, b: TemperatureReading, limitC: Celsius): Milliseconds {
  return a.atMs + ((b.atMs - a.atMs) * (limitC - a.tempC)) / (b.tempC - a.tempC)
}

/** Verdict on a fridge from its readings so far, in order of time. The worst thing found wins. */
export function judgeFridge(readings: readonly TemperatureReading[]): FridgeVerdict {
  const last = readings.at(-1)
  if (!last) return 'no_reading'
  const lasts = (check: { aboveC: Celsius; forMs: Milliseconds }) => {
    const found = longestAbove(readings, check.aboveC)
    return found !== null && found.toMs - found.fromMs > check.forMs
  }
  if (lasts(FRIDGE_CHECKS.hold)) return 'hold'
  if (lasts(FRIDGE_CHECKS.warn) || last.tempC > FRIDGE_CHECKS.warn.aboveC) return 'warm'
  return last.tempC < FRIDGE_CHECKS.tooColdC ? 'too_cold' : 'cold_enough'
}
