import {
  INSTANT_KILL_C,
  KILL_FROM_C,
  LONGEST_GAP_MS,
  P70_AT_C,
  P70_FROM_C,
  P70_Z_C,
  SALMONELLA_AT_150F_S,
  SALMONELLA_LOG,
  SALMONELLA_Z_F,
} from '../rules/guideline'
import { fahrenheitToCelsius } from '../units/quantities'
import type { CoreReading } from '../readings/core-reading'
import { creditAlong, type ExponentialRate } from './exponential-credit'

const Z_C = (SALMONELLA_Z_F * 5) / 9

const SALMONELLA: ExponentialRate = {
  perSecond: SALMONELLA_LOG / SALMONELLA_AT_150F_S,
  atC: fahrenheitToCelsius(150),
  zC: Z_C,
  fromC: KILL_FROM_C,
  longestGapMs: LONGEST_GAP_MS,
}

/**
 * Salmonella reduction in log10, running, one value a reading; uncapped. Credited only at or above 130 °F (54.4 °C)
 * and not over gaps longer than 30 min. Reproduces the 6.5 log table of the FSIS cooking guideline
 * (Appendix A, 2021): 130 °F 112 min, 140 °F 12, 145 °F 4, 150 °F 67 s. The table presumes moist heat.
 */
export const salmonellaLog = (readings: readonly CoreReading[]): number[] => creditAlong(readings, SALMONELLA)

/** Reached when the credit is 6.5 log, or a reading stands at 70 °C or more. */
export const lethalityReached = (readings: readonly CoreReading[]): boolean =>
  (salmonellaLog(readings).at(-1) ?? 0) >= SALMONELLA_LOG || readings.some(reading => reading.coreC >= INSTANT_KILL_C)

export const P70: ExponentialRate = {
  perSecond: 1 / 60,
  atC: P70_AT_C,
  zC: P70_Z_C,
  fromC: Number.NEGATIVE_INFINITY,
  longestGapMs: LONGEST_GAP_MS,
}

/**
 * Minutes at 70 °C that the heating is worth (z 7.5 °C), running, where something is claimed by it: nothing under 60 °C
 * counts. UK and EU practice asks for 2.
 */
export const p70Claimed = (readings: readonly CoreReading[]): number[] =>
  creditAlong(readings, { ...P70, fromC: P70_FROM_C })
