import type { WeightRange } from '../typed/parse-weight'
import { MOST_SUGAR_SHARE } from './house'

/**
 * What an entry may be: outside it is a slip of the key or a wrong unit. No limits of a law, and none that is judged by.
 * House. Each stands once: contracts and forms read it here.
 */
export interface Range {
  min: number
  max: number
}

/** Weights a shop handles, grams. */
export const PIECE_RANGE: WeightRange = { minG: 50, maxG: 60_000 }
export const PART_RANGE: WeightRange = { minG: 1, maxG: 60_000 }
/** Several pieces on one scale. */
export const MEAT_RANGE: WeightRange = { minG: 50, maxG: 2_000_000 }
export const DELIVERY_RANGE: WeightRange = { minG: 100, maxG: 2_000_000 }
export const READY_RANGE: WeightRange = { minG: 50, maxG: 500_000 }
export const INGREDIENT_RANGE: WeightRange = { minG: 0.01, maxG: 1_000_000 }
export const BRINE_RANGE: WeightRange = { minG: 50, maxG: 400_000 }
/** The meat out of its brine, or mix shaken off. */
export const WEIGHED_AFTER_RANGE: WeightRange = { minG: INGREDIENT_RANGE.minG, maxG: BRINE_RANGE.maxG }
export const DRAINED_RANGE: WeightRange = { minG: 1, maxG: 100_000 }
export const OFFCUT_RANGE: WeightRange = { minG: 1, maxG: 100_000 }
export const PACK_RANGE: WeightRange = { minG: 10, maxG: 20_000 }
export const BULK_MEAT_RANGE_KG: Range = { min: 0.5, max: 2000 }

export const THICKNESS_RANGE_MM: Range = { min: 5, max: 200 }
export const DRAINED_RANGE_ML: Range = { min: 1, max: 50_000 }
/** The water of a soak, litres; and as a plan has it, litres a kilogram. */
export const SOAK_RANGE_L: Range = { min: 0.1, max: 1000 }
export const SOAK_RANGE_L_PER_KG: Range = { min: 0.1, max: 50 }

/** Nitrite that a maker aims at, ppm; and any figure of a law or a laboratory. */
export const TARGET_RANGE_PPM: Range = { min: 0, max: 700 }
/** A target, floor or limit of the shop's own. */
export const SHOP_RANGE_PPM: Range = { min: 1, max: TARGET_RANGE_PPM.max }
export const RULE_RANGE_PPM: Range = { min: 0, max: 5000 }
export const RESIDUAL_RANGE_PPM: Range = { min: 0, max: 2000 }

/** Shares of green weight, 0 to 1: salt of a recipe, the water of a brine, what meat takes up of it. */
export const SALT_RANGE: Range = { min: 0.01, max: 0.15 }
export const WATER_RANGE: Range = { min: 0.1, max: 3 }
export const PICK_UP_RANGE: Range = { min: 0.01, max: 0.6 }
export const SUGAR_RANGE: Range = { min: 0, max: MOST_SUGAR_SHARE }
/** What goes on first of two applications, of all. */
export const FIRST_RANGE: Range = { min: 0.1, max: 0.9 }
export const WHOLE_RANGE: Range = { min: 0, max: 1 }
/** What a label may be off by, of the whole. */
export const TOLERANCE_RANGE: Range = { min: 0, max: 0.02 }
/** A flavouring's amount, by the unit of its kind: per cent, g/kg, grams. */
export const FLAVOURING_RANGE: Range = { min: 0, max: 1000 }

/** Days of the cure until it may be ready, and until it should be over; no plan is longer. */
export const READY_RANGE_DAYS: Range = { min: 1, max: 90 }
export const BEST_BY_RANGE_DAYS: Range = { min: 1, max: 120 }
export const PLAN_RANGE_DAYS: Range = { min: 0, max: BEST_BY_RANGE_DAYS.max }
export const PLAN_RANGE_HOURS: Range = { min: 0, max: 24 * PLAN_RANGE_DAYS.max }
/** How long a step told as over may have lasted, minutes: no soak, no smoke, no hanging told at once is longer. */
export const LASTED_RANGE_MINUTES: Range = { min: 1, max: 60 * 24 * 60 }
/** How long ago "earlier" may be, minutes; before that the hour is told. */
export const AGO_RANGE_MINUTES: Range = { min: 1, max: 24 * 60 }
/** Changes of water, and rinses. */
export const CHANGES_RANGE: Range = { min: 0, max: 20 }
export const SESSIONS_RANGE: Range = { min: 1, max: 12 }

/** Relative humidity, per cent: as a hygrometer shows it, and as a place with hanging meat is kept. */
export const AIR_READ_RANGE: Range = { min: 1, max: 100 }
export const AIR_KEPT_RANGE: Range = { min: 30, max: 100 }

/** How finely instruments read: thermometers in degrees, hygrometers in per cent, scales in grams. */
export const READS_RANGE_DEGREES: Range = { min: 0.01, max: 10 }
export const READS_RANGE_PERCENT: Range = { min: 0.1, max: 10 }
export const READS_RANGE_G: Range = { min: 0.001, max: 1000 }
/** Days between two checks of an instrument; hours for which a list that was gone through holds. */
export const CHECK_RANGE_DAYS: Range = { min: 1, max: 730 }
export const CHECK_RANGE_HOURS: Range = { min: 1, max: 720 }
