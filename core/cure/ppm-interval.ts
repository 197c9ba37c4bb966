import { sumOf } from '../lists/sum-of'
import { COVERAGE_K, UNIFORM_SD } from '../uncertainty/propagate'
import { PPM_PER_UNIT, type Fraction, type Grams, type Ppm } from '../units/quantities'

/** A mass as a scale showed it. A net weight from gross and tare rests on two readings. */
export interface ScaleReading {
  massG: Grams
  readabilityG: Grams
  readings: number
}

export interface PpmInterval {
  lowPpm: Ppm
  highPpm: Ppm
  /** Half-width of the expanded standard uncertainty, k = 2. */
  expandedPpm: Ppm
}

/** Worst case: how far a net weight may be from the truth, grams. */
export const worstCaseG = (r: Pick<ScaleReading, 'readabilityG' | 'readings'>): Grams =>
  (r.readings * r.readabilityG) / 2

/** Curing salt as it was weighed: its nitrite share as NaNO2, and the half-width of that share on the same basis. */
export interface AgentReading extends ScaleReading {
  share: Fraction
  shareTolerance: Fraction
}

/**
 * What the ppm can be, given how finely everything was weighed and what the labels allow; each of several weighings of
 * curing salt counts for itself. Each reading is uniform within half a division; worst case puts all ends together,
 * `expandedPpm` is the root sum of squares with k = 2 (GUM, JCGM 100:2008), labels taken as off together. Agent masses 0
 * or more, meat mass more than 0. The low end is never below 0. If the meat's worst case reaches its weight, the high end
 * is Infinity: nothing has been shown.
 */
export function ppmInterval(agents: readonly AgentReading[], meat: ScaleReading): PpmInterval {
  const sum = (of: (agent: AgentReading) => number) => sumOf(agents, of)
  const low = sum(a => Math.max(0, a.massG - worstCaseG(a)) * Math.max(0, a.share - a.shareTolerance))
  const high = sum(a => (a.massG + worstCaseG(a)) * (a.share + a.shareTolerance))
  const meatOffG = worstCaseG(meat)
  const meatLeastG = meat.massG - meatOffG
  const perMeat = PPM_PER_UNIT / meat.massG
  const standardPpm
    = perMeat
      * UNIFORM_SD
      * Math.hypot(
        ...agents.map(a => Math.sqrt(a.readings) * a.readabilityG * a.share),
        (Math.sqrt(meat.readings) * meat.readabilityG * sum(a => a.massG * a.share)) / meat.massG,
        2 * sum(a => a.shareTolerance * a.massG),
      )
  return {
    lowPpm: (PPM_PER_UNIT * low) / (meat.massG + meatOffG),
    highPpm: meatLeastG > 0 ? (PPM_PER_UNIT * high) / meatLeastG : Infinity,
    expandedPpm: COVERAGE_K * standardPpm,
  }
}
