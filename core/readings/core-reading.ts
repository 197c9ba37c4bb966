import type { Celsius, Milliseconds } from '../units/quantities'

/** One core temperature at one instant. */
export interface CoreReading {
  atMs: Milliseconds
  coreC: Celsius
}
