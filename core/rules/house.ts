import type { Ppm } from '../units/quantities'

/** Most makers stay near this, whatever higher maximum the cut allows. */
export const HOUSE_TARGET_PPM = 150
/** Least ingoing nitrite for the cured-product cooling rule. */
export const CURED_COOLING_PPM = 100
export const CURED_COOLING_SOURCE = 'FSIS stabilization guideline (2021), for cooling as a cured product'
/** Stands in where a rule set has no ingoing maximum: the general figure for cured meat. A house rule, not a law. */
export const GUARD_PPM = 200

/** The shop's own limits, stricter than the law; null where it has none. */
export interface HouseLimits {
  floorPpm: Ppm | null
  maxPpm: Ppm | null
}
export const NO_HOUSE_LIMITS: HouseLimits = { floorPpm: null, maxPpm: null }
