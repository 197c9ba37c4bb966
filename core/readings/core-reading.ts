import type { Celsius, Milliseconds } from '../units/quantities'

/** A core temperature at an instant. */
export interface CoreReading {
  atMs: Milliseconds
  coreC: Celsius
}
