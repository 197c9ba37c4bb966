import { REACHED_APART_MS } from '../rules/heat-line'
import type { Celsius, Milliseconds } from '../units/quantities'

/** A good reading: one that no mark speaks against. `byHand`: somebody stood there and typed it. */
export interface GoodReading {
  atMs: Milliseconds
  tempC: Celsius
  byHand: boolean
}

/**
 * When a temperature was first shown to be reached: at the second of two readings a minute or more apart that stand at
 * it or above, with none below between them, or at one that was typed by hand. One spike of a probe proves nothing.
 * Null: not shown. Readings in order of time. Example: 70.2 °C for one second of a logger's file is not reached.
 */
export function reachedMs(readings: readonly GoodReading[], tempC: Celsius): Milliseconds | null {
  let sinceMs: Milliseconds | null = null
  for (const reading of readings) {
    if (reading.tempC < tempC) {
      sinceMs = null
      continue
    }
    sinceMs ??= reading.atMs
    if (reading.byHand || reading.atMs - sinceMs >= REACHED_APART_MS) return reading.atMs
  }
  return null
}
