import { LEAST_MEASURED_SALT_SHARE, MOST_MEASURED_SALT_SHARE, SALT_OFF_SHARE } from './house'
import type { Fraction, Grams } from '../units/quantities'
import type { CureMethod } from '../cure/cure-method'

/** Cures whose salt is measured to stay: what goes on is what the meat has. */
const MEASURED: readonly CureMethod[] = ['dry', 'two_applications', 'wet_equilibrium']

export interface SaltQuestion {
  method: CureMethod
  /**
   * Salt in everything that goes on, curing salt and seasonings with it, as planned and as weighed. Planned more than
   * 0.
   */
  plannedG: Grams
  weighedG: Grams
  /** Total salt that the plan comes to, as a share of what it is counted over. */
  plannedShare: Fraction
}

export interface SaltVerdict {
  status: 'as_planned' | 'off' | 'slip'
  share: Fraction
  plannedShare: Fraction
}

/**
 * The salt as weighed beside the plan. `slip`: a measured nitrite cure under 1 % or over 6 % total salt, which is
 * refused like too much nitrite. `off`: by more than a fifth of the plan. A cure without nitrite has a floor of its
 * own.
 */
export function judgeSalt({ method, plannedG, weighedG, plannedShare }: SaltQuestion): SaltVerdict {
  const share = (plannedShare * weighedG) / plannedG
  if (MEASURED.includes(method) && (share < LEAST_MEASURED_SALT_SHARE || share > MOST_MEASURED_SALT_SHARE))
    return { status: 'slip', share, plannedShare }
  return { status: Math.abs(weighedG / plannedG - 1) > SALT_OFF_SHARE ? 'off' : 'as_planned', share, plannedShare }
}
