import { MS_PER_MINUTE, type Celsius, type Milliseconds } from '../units/quantities'

/** One core temperature at one instant. */
export interface CoreReading {
  atMs: Milliseconds
  coreC: Celsius
}

/** Over a longer gap nothing is credited: nobody knows what happened in it. */
export const LONGEST_GAP_MS = 30 * MS_PER_MINUTE
/** 130 °F, the least temperature at which kill is credited. */
export const KILL_FROM_C = ((130 - 32) * 5) / 9
