import { SLICED_MOST_OVER_SHARE, SLICED_OVER_SHARE } from '../rules/house'
import type { Grams } from '../units/quantities'

/** Whether what left the slicing table can have been brought to it. */
export type OverBrought = 'fits' | 'asked' | 'refused'

export interface Sliced {
  /** Weighed ready to slice, all sittings together; more than 0. */
  broughtG: Grams
  /** Packs and offcuts, all sittings together. */
  outG: Grams
  /** How far all these readings together can be off, grams. */
  worstG: Grams
}

/**
 * More out than was brought: it fits within 1 % of it, or within the readings' worst case; up to 5 % it is asked about,
 * because scales differ; more is another lot's meat or a slip of the key. 2,030 g out of 2,000 g by six readings of 5 g
 * (worst case 15 g) is asked, 2,110 g is refused. House rule.
 */
export function overBrought({ broughtG, outG, worstG }: Sliced): OverBrought {
  const overG = outG - broughtG
  if (overG <= Math.max(SLICED_OVER_SHARE * broughtG, worstG)) return 'fits'
  return overG <= Math.max(SLICED_MOST_OVER_SHARE * broughtG, worstG) ? 'asked' : 'refused'
}
