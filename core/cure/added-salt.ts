import type { Fraction, Grams } from '../units/quantities'

export interface Seasoning {
  massG: Grams
  saltFraction: Fraction
}

export interface SaltQuestion {
  greenWeightG: Grams
  /** Wanted salt, as a share of green weight. */
  targetShare: Fraction
  agentG: Grams
  agentSaltFraction: Fraction
  seasonings?: readonly Seasoning[]
}

/** Salt that comes in without being asked for: with the curing salt and the seasonings, grams. */
export const carriedSaltG = (q: Omit<SaltQuestion, 'targetShare' | 'greenWeightG'>): Grams =>
  q.agentG * q.agentSaltFraction + (q.seasonings ?? []).reduce((sum, s) => sum + s.massG * s.saltFraction, 0)

/**
 * Plain salt to weigh for a wanted *total* salt share, counting what the curing salt and seasonings carry.
 * Grams; negative means they already bring more than the target, and the caller must say so.
 * Check: 1,840 g, 2.4 %, 4.4 g of no. 1: 40.035 g.
 */
export const addedSaltG = (q: SaltQuestion): Grams => q.targetShare * q.greenWeightG - carriedSaltG(q)
