/**
 * How the cure goes on.
 * - `dry`: measured, all at once
 * - `two_applications`: half now, the rest after the first draining
 * - `excess`: more than is taken up (salt box); the rest is shaken or rinsed off
 * - `wet_equilibrium`: brine, left until meat and brine are even
 * - `wet_pick_up`: brine, taken out before; counted by the weight picked up
 * - `salt_only`: the old name of `dry` without curing salt. No nitrite is no method: any of them goes without.
 */
export const CURE_METHODS = [
  'dry',
  'two_applications',
  'excess',
  'wet_equilibrium',
  'wet_pick_up',
  'salt_only',
] as const
export type CureMethod = (typeof CURE_METHODS)[number]
/** Methods to choose from: all but the old name. */
export const CHOSEN_METHODS = CURE_METHODS.filter(method => method !== 'salt_only')

/** The ways a law tells apart. The shop does not pump; the word is there because laws have rows for it. */
export const LEGAL_METHODS = ['dry', 'immersion', 'pumped'] as const
export type LegalMethod = (typeof LEGAL_METHODS)[number]

export const isWet = (method: CureMethod): boolean => method === 'wet_equilibrium' || method === 'wet_pick_up'
export const legalMethod = (method: CureMethod): LegalMethod => (isWet(method) ? 'immersion' : 'dry')

/**
 * What a ppm figure says: what went in; the most that can have gone in; the least, because more was put on that nobody
 * weighed; or nothing because no nitrite is used.
 */
export type PpmMeaning = 'exact' | 'upper_bound' | 'open' | 'none'

/** `pickUpWeighed`: the meat was weighed before and after its brine. */
export function meaningOf(method: CureMethod, pickUpWeighed: boolean): PpmMeaning {
  if (method === 'wet_pick_up') return pickUpWeighed ? 'exact' : 'upper_bound'
  return method === 'excess' ? 'upper_bound' : 'exact'
}
