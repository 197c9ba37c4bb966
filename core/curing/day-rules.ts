import { MILLIMETRES_PER_INCH, type Days, type Grams, type Millimetres } from '../units/quantities'
import type { CureMethod } from '../cure/cure-method'
import { daysToCentre } from '../diffusion/days-to-centre'

/** Ways makers count the days of a cure, each by name. */
export const DAY_RULES = [
  'fixed_week',
  'per_half_inch',
  'three_per_inch_plus_one',
  'seven_per_inch',
  'three_per_500_g',
  'model',
] as const
export type DayRule = (typeof DAY_RULES)[number]

const HALF_INCH_MM = MILLIMETRES_PER_INCH / 2
const WEEK = 7

/**
 * Days each rule gives for a piece: thickness in mm (more than 0), weight in g (more than 0).
 * Check, 40 mm and 1.5 kg: 7, 3.1, 5.7, 11.0, 9 and 5.6 days. These are customs, not limits.
 */
export const daysByRule = (thicknessMm: Millimetres, weightG: Grams): Record<DayRule, Days> => ({
  fixed_week: WEEK,
  per_half_inch: thicknessMm / HALF_INCH_MM,
  three_per_inch_plus_one: (3 * thicknessMm) / MILLIMETRES_PER_INCH + 1,
  seven_per_inch: (WEEK * thicknessMm) / MILLIMETRES_PER_INCH,
  three_per_500_g: (3 * weightG) / 500,
  model: daysToCentre(thicknessMm),
})

/**
 * A plain suggestion for a measured cure: not before a week, nor before the model, and a week of grace. A salt box only
 * gets saltier: out after a week at the latest (house).
 */
export function suggestedSpan(thicknessMm: Millimetres, method: CureMethod = 'dry'): { readyFromDay: number; bestByDay: number } {
  if (method === 'excess') return { readyFromDay: WEEK - 1, bestByDay: WEEK }
  const readyFromDay = Math.max(WEEK, Math.ceil(daysToCentre(thicknessMm)))
  return { readyFromDay, bestByDay: readyFromDay + WEEK }
}
