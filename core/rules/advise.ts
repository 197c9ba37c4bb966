import { sumOf } from '../lists/sum-of'
import { nitriteShare } from '../cure/agent'
import { isWet } from '../cure/cure-method'
import type { CureWeighed } from '../cure/cure-weighed'
import { lotPpm, meaningOfCure } from '../cure/pieces-ppm'
import { toDivision } from '../cure/to-division'
import { PPM_PER_UNIT, type Grams } from '../units/quantities'
import { isGood, judgeNitrite, type JudgedLimits, type NitriteStatus } from './judge-nitrite'
import { leastWhere } from './least-where'

/** What to do, in grams, each alone enough to bring the worst case inside; null where that way is closed. */
export interface Advice {
  takeOffAgentG: Grams | null
  addMeatG: Grams | null
  addAgentG: Grams | null
  /** The coarsest division of the mixing scale, grams, that would show this weight inside. */
  finerScaleG: Grams | null
  /** The least green weight, grams, for which this mixing scale can show any weight of curing salt inside. */
  smallestLotG: Grams | null
}

export const NO_ADVICE: Advice = {
  takeOffAgentG: null,
  addMeatG: null,
  addAgentG: null,
  finerScaleG: null,
  smallestLotG: null,
}
const DIVISIONS_G = [1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01] as const
/** Past any shop: a search that gets here has no answer. */
const MOST_STEPS = 2 ** 24

/**
 * The fix in grams for a verdict outside the span. Every way given was applied and judged before it is said: following
 * it makes the verdict pass. Steps are the scales' own divisions; meat that is added counts as one more piece and
 * reading.
 */
export function advise(cure: CureWeighed, limits: JudgedLimits, status: NitriteStatus): Advice {
  if (isGood(status) || status === 'no_nitrite') return NO_ADVICE
  const changed = (change: Partial<CureWeighed>): CureWeighed => ({ ...cure, ...change })
  const meaning = meaningOfCure(cure)
  const ppmOf = (made: CureWeighed) => lotPpm(made)
  const passes = (made: CureWeighed) => isGood(judgeNitrite(lotPpm(made), limits, meaning))
  // The shop's own limits count for the figure itself, the law's for the worst case.
  const notAbove = (made: CureWeighed) =>
    ppmOf(made).highPpm <= limits.maxPpm && ppmOf(made).ppm <= (limits.house?.maxPpm ?? Infinity)
  const notBelow = (made: CureWeighed) =>
    (meaning === 'exact' ? ppmOf(made).lowPpm : ppmOf(made).ppm) >= limits.floorPpm
    && ppmOf(made).ppm >= (limits.house?.floorPpm ?? 0)
  const only = (massG: Grams | null, made: (massG: Grams) => CureWeighed) =>
    massG !== null && massG > 0 && passes(made(massG)) ? massG : null

  const withAgent = (agentG: Grams) => changed({ agentG, mixG: Math.max(0, cure.mixG + agentG - cure.agentG) })
  const withMeat = (massG: Grams) => changed({ pieces: [...cure.pieces, { massG, readings: 1 }] })
  const agentSteps = (steps: number) => toDivision(steps * cure.mixReadabilityG, cure.mixReadabilityG)
  const meatSteps = (steps: number) => toDivision(steps * cure.meatReadabilityG, cure.meatReadabilityG)
  const tooHigh = !notAbove(cure)

  const offSteps = leastWhere(Math.ceil(cure.agentG / cure.mixReadabilityG), n =>
    notAbove(withAgent(Math.max(0, cure.agentG - agentSteps(n)))),
  )
  const addSteps = leastWhere(MOST_STEPS, n => notBelow(withAgent(cure.agentG + agentSteps(n))))
  const meatNeeded = leastWhere(MOST_STEPS, n => notAbove(withMeat(meatSteps(n))))
  const at = (steps: number | null, toG: (steps: number) => Grams) => (steps === null ? null : toG(steps))
  return {
    takeOffAgentG: tooHigh
      ? only(at(offSteps, agentSteps), massG => withAgent(Math.max(0, cure.agentG - massG)))
      : null,
    addMeatG: tooHigh ? only(at(meatNeeded, meatSteps), withMeat) : null,
    addAgentG: tooHigh ? null : only(at(addSteps, agentSteps), massG => withAgent(cure.agentG + massG)),
    finerScaleG: DIVISIONS_G.find(d => d < cure.mixReadabilityG && passes(changed({ mixReadabilityG: d }))) ?? null,
    smallestLotG: isWet(cure.method ?? 'dry') ? null : smallestLot(cure, limits),
  }
}

/**
 * The least green weight for which the mixing scale, as it is, has a division inside floor and limit whatever the exact
 * weight: a division must fall between the least and the most curing salt with every reading's half division kept off
 * both ends. Null when the label's tolerance alone is wider than the span, or the lot is large enough already.
 */
function smallestLot(cure: CureWeighed, limits: JudgedLimits): Grams | null {
  const share = nitriteShare(cure.agent)
  const relative = cure.agent.labelTolerance / cure.agent.nitriteFraction
  const perMostG = limits.maxPpm / (share * (1 + relative)) / PPM_PER_UNIT
  const perLeastG = limits.floorPpm / (share * (1 - relative)) / PPM_PER_UNIT
  if (!(perMostG > perLeastG)) return null
  const meatG = sumOf(cure.pieces, piece => piece.massG)
  const meatOffG = (sumOf(cure.pieces, piece => piece.readings) * cure.meatReadabilityG) / 2
  const leastG
    = ((1 + (cure.agentReadings ?? 1)) * cure.mixReadabilityG + meatOffG * (perMostG + perLeastG))
      / (perMostG - perLeastG)
  const roundedG = Math.ceil(leastG / cure.meatReadabilityG) * cure.meatReadabilityG
  return roundedG > meatG ? roundedG : null
}
