import { sumOf } from '#core/lists/sum-of'
import type { Formulation } from '#core/cure/formulate'
import { carriedBy } from '#core/cure/seasoning'
import type { SaltQuestion } from '#core/rules/salt-weighed'
import type { CureMethod } from '#core/cure/cure-method'
import type { Fraction, Grams } from '#core/units/quantities'
import type { MixRole } from '../contracts/store'
import type { JudgeQuestion } from './judge-lot'

/** One thing that goes on. `shared`: on every piece; a seasoning for some pieces alone is weighed beside the mix. */
export interface Applied {
  role: MixRole
  massG: Grams
  shared: boolean
}
/** What a second application is still to bring, as planned. Seasonings go on whole with the first. */
export type ToCome = Pick<Formulation, 'agentG' | 'saltG' | 'sugarG'>

/** A lot as it was weighed, or is planned: what everyone who judges it knows of it. */
export interface LotWeighed extends Omit<JudgeQuestion, 'agentG' | 'agentReadings' | 'mixG'> {
  applied: readonly Applied[]
  /** Null once nothing more goes on. */
  toCome: ToCome | null
}

const massOf = (applied: readonly Applied[], counts: (part: Applied) => boolean): Grams =>
  sumOf(applied.filter(counts), part => part.massG)

/** What a whole plan leaves for a second application after a share of it went on; null when all did. */
export const toComeAfter = (plan: ToCome, firstShare: Fraction): ToCome | null =>
  firstShare < 1
    ? {
        agentG: plan.agentG * (1 - firstShare),
        saltG: plan.saltG * (1 - firstShare),
        sugarG: plan.sugarG * (1 - firstShare),
      }
    : null

/** What a plan puts on, as if it had been weighed so. */
export const appliedOf = (plan: Pick<Formulation, 'agentG' | 'saltG' | 'sugarG' | 'mixG'>): Applied[] => [
  { role: 'agent', massG: plan.agentG, shared: true },
  { role: 'salt', massG: plan.saltG, shared: true },
  { role: 'sugar', massG: plan.sugarG, shared: true },
  { role: 'spice', massG: plan.mixG - plan.agentG - plan.saltG - plan.sugarG, shared: true },
]

/**
 * The question that a lot's verdict answers, put together in this one place: for the Bench, for the rub, and when a lot
 * is judged again. Masses in grams, 0 or more; what is still to come counts as planned.
 */
export function lotQuestion({ applied, toCome, ...lot }: LotWeighed): JudgeQuestion {
  const rest = toCome ?? { agentG: 0, saltG: 0, sugarG: 0 }
  return {
    ...lot,
    agentG: massOf(applied, part => part.role === 'agent') + rest.agentG,
    // What is still to come is weighed once more.
    agentReadings: (massOf(applied, part => part.role === 'agent') > 0 ? 1 : 0) + (rest.agentG > 0 ? 1 : 0),
    mixG: massOf(applied, part => part.shared) + rest.agentG + rest.saltG + rest.sugarG,
  }
}

/**
 * The question of the salt as weighed beside the plan; null for a cure without nitrite, which has a floor of its own,
 * and for a plan without salt. Seasonings by their composition, `seasonings` in the order of the plan's; one that was
 * not weighed counts as planned.
 */
export function saltQuestion(q: {
  method: CureMethod
  plan: Pick<Formulation, 'agentG' | 'saltG' | 'seasonings' | 'totalSaltShare'>
  firstShare: Fraction
  agentSaltShare: Fraction
  agentG: Grams
  saltG: Grams
  seasonings: readonly (Grams | null)[]
}): SaltQuestion | null {
  if (q.agentG <= 0) return null
  const basePlannedG = q.plan.saltG + q.plan.agentG * q.agentSaltShare
  const plannedG = basePlannedG + carriedBy(q.plan.seasonings, 'saltFraction')
  if (!(plannedG > 0)) return null
  const seasonedG = q.plan.seasonings.reduce(
    (sum, planned, i) => sum + (q.seasonings[i] ?? planned.massG) * planned.composition.saltFraction,
    0,
  )
  return {
    method: q.method,
    plannedG,
    weighedG: q.saltG + q.agentG * q.agentSaltShare + seasonedG + (1 - q.firstShare) * basePlannedG,
    plannedShare: q.plan.totalSaltShare,
  }
}
