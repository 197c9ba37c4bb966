import { fail, ok, type Result } from '../result'
import type { Fraction, Grams, Ppm } from '../units/quantities'
import { addedSaltG, carriedSaltG } from './added-salt'
import { nitriteShare, type CuringAgent } from './agent'
import { agentForPpm } from './ingoing-nitrite'

export interface Targets {
  saltShare: Fraction
  /** `total` counts the salt that the curing salt brings; `added` leaves it out. */
  saltBasis: 'total' | 'added'
  sugarShare: Fraction
  /** Ignored when there is no agent. */
  nitritePpm: Ppm
}

export interface Formulation {
  greenWeightG: Grams
  /** What to weigh, each rounded to what the scale can show. */
  agentG: Grams
  saltG: Grams
  sugarG: Grams
  mixG: Grams
  /** Both schools, from the weights above, as shares of green weight. */
  totalSaltShare: Fraction
  addedSaltShare: Fraction
}

export type FormulateCode = 'no_pieces' | 'salt_already_exceeded'

/** Nearest division of a scale; readabilityG more than 0. */
export const toDivision = (massG: Grams, readabilityG: Grams): Grams => {
  const divisions = Math.round(massG / readabilityG)
  // Multiplying by the inverse keeps 0.1 g steps free of binary dust.
  const perGram = 1 / readabilityG
  return Number.isInteger(perGram) ? divisions / perGram : divisions * readabilityG
}

/**
 * A measured dry cure for one lot: grams of curing salt, salt and sugar for the green weight.
 * `agent` null is a salt-only cure. All grams are rounded to `readabilityG`, the mixing scale's division, and
 * salt is worked out from the rounded curing salt, because that is what will be weighed.
 * Fails with `no_pieces` (green weight not above 0) or `salt_already_exceeded` (carriedG says how much comes in).
 * Source: FSIS Directive 7620.3 for nitrite; salt as share of green weight.
 */
export function formulate(
  greenWeightG: Grams, agent: CuringAgent | null, targets: Targets, readabilityG: Grams,
): Result<Formulation, FormulateCode> {
  if (!(greenWeightG > 0)) return fail('no_pieces')
  const agentG = agent
    ? toDivision(agentForPpm(targets.nitritePpm, greenWeightG, nitriteShare(agent)), readabilityG)
    : 0
  const agentSaltFraction = agent?.saltFraction ?? 0
  const carriedG = carriedSaltG({ agentG, agentSaltFraction })
  const exactSaltG = targets.saltBasis === 'total'
    ? addedSaltG({ greenWeightG, targetShare: targets.saltShare, agentG, agentSaltFraction })
    : targets.saltShare * greenWeightG
  if (exactSaltG < 0) return fail('salt_already_exceeded', { carriedG, wantedG: targets.saltShare * greenWeightG })
  const saltG = toDivision(exactSaltG, readabilityG)
  const sugarG = toDivision(targets.sugarShare * greenWeightG, readabilityG)
  return ok({
    greenWeightG, agentG, saltG, sugarG, mixG: agentG + saltG + sugarG,
    totalSaltShare: (saltG + carriedG) / greenWeightG,
    addedSaltShare: saltG / greenWeightG,
  })
}
