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

/**
 * What the ppm can be, given how finely things were weighed and what the label allows.
 * Each reading is uniform within half a division; worst case puts all ends together, `expandedPpm` is the
 * root sum of squares with k = 2 (GUM, JCGM 100:2008). Agent mass 0 or more, meat mass more than 0; `share` is
 * the agent's nitrite as NaNO2 and `shareTolerance` its half-width on the same basis. The low end is never below 0.
 * If the meat's worst case reaches its weight, the high end is Infinity: nothing has been shown.
 */
export function ppmInterval(
  agent: ScaleReading,
  meat: ScaleReading,
  share: Fraction,
  shareTolerance: Fraction,
): PpmInterval {
  const agentOffG = worstCaseG(agent)
  const meatOffG = worstCaseG(meat)
  const low = Math.max(0, agent.massG - agentOffG) * Math.max(0, share - shareTolerance)
  const high = (agent.massG + agentOffG) * (share + shareTolerance)
  const meatLeastG = meat.massG - meatOffG
  const perMeat = PPM_PER_UNIT / meat.massG
  const standardPpm
    = perMeat
      * UNIFORM_SD
      * Math.hypot(
        Math.sqrt(agent.readings) * agent.readabilityG * share,
        (Math.sqrt(meat.readings) * meat.readabilityG * agent.massG * share) / meat.massG,
        2 * shareTolerance * agent.massG,
      )
  return {
    lowPpm: (PPM_PER_UNIT * low) / (meat.massG + meatOffG),
    highPpm: meatLeastG > 0 ? (PPM_PER_UNIT * high) / meatLeastG : Infinity,
    expandedPpm: COVERAGE_K * standardPpm,
  }
}
