import { nitriteShare } from '../cure/agent'
import type { CureWeighed } from '../cure/pieces-ppm'
import { worstCaseG } from '../cure/ppm-interval'
import { PPM_PER_UNIT, type Grams, type Ppm } from '../units/quantities'
import type { NitriteStatus } from './judge-nitrite'

/** What to do, in grams, each alone enough to bring the worst case inside; null where that way is closed. */
export interface Advice {
  takeOffAgentG: Grams | null
  addMeatG: Grams | null
  addAgentG: Grams | null
  /** The coarsest division of the mixing scale that would show it, grams, for the weights as they are. */
  finerScaleG: Grams | null
}

const NO_ADVICE: Advice = { takeOffAgentG: null, addMeatG: null, addAgentG: null, finerScaleG: null }
const DIVISIONS_G = [1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01] as const

// A hair added before rounding outwards keeps 0.30000000000000004 from becoming 0.4.
const upTo = (massG: Grams, divisionG: Grams): Grams => Math.ceil(massG / divisionG - 1e-9) * divisionG

/**
 * The fix in grams for a verdict outside the span. Take-off and addition are rounded away from the limit to the
 * mixing scale's division, meat up to the meat scale's, so that doing what it says makes the verdict pass.
 */
export function advise(
  cure: CureWeighed, limits: { floorPpm: Ppm, maxPpm: Ppm }, status: NitriteStatus,
): Advice {
  const share = nitriteShare(cure.agent)
  const relativeTolerance = cure.agent.labelTolerance / cure.agent.nitriteFraction
  const highShare = share * (1 + relativeTolerance)
  const lowShare = share * (1 - relativeTolerance)
  const agentOffG = worstCaseG({ readabilityG: cure.mixReadabilityG, readings: 1 })
  const meatG = cure.pieces.reduce((sum, piece) => sum + piece.massG, 0)
  const readings = cure.pieces.reduce((sum, piece) => sum + piece.readings, 0)
  const meatOffG = worstCaseG({ readabilityG: cure.meatReadabilityG, readings })
  const mostAgentG = limits.maxPpm * (meatG - meatOffG) / (PPM_PER_UNIT * highShare) - agentOffG
  const leastAgentG = limits.floorPpm * (meatG + meatOffG) / (PPM_PER_UNIT * lowShare) + agentOffG

  if (status === 'above_limit' || status === 'limit_not_shown') {
    const offG = upTo(cure.agentG - mostAgentG, cure.mixReadabilityG)
    // The late piece is one reading more on the meat scale.
    const meatNeededG = PPM_PER_UNIT * highShare * (cure.agentG + agentOffG) / limits.maxPpm
      + meatOffG + cure.meatReadabilityG / 2
    return {
      ...NO_ADVICE,
      takeOffAgentG: mostAgentG > 0 ? offG : null,
      addMeatG: upTo(meatNeededG - meatG, cure.meatReadabilityG),
    }
  }
  if (status === 'below_floor' || status === 'floor_not_shown') {
    const addG = upTo(leastAgentG - cure.agentG, cure.mixReadabilityG)
    const showsFloor = (divisionG: Grams) =>
      (cure.agentG - divisionG / 2) * lowShare * PPM_PER_UNIT >= limits.floorPpm * (meatG + meatOffG)
    return {
      ...NO_ADVICE,
      addAgentG: cure.agentG + addG <= mostAgentG ? addG : null,
      finerScaleG: status === 'floor_not_shown'
        ? DIVISIONS_G.find(d => d < cure.mixReadabilityG && showsFloor(d)) ?? null
        : null,
    }
  }
  return NO_ADVICE
}
