import { BRINE_DENSITY, ROUGH_ML } from '../rules/house'
import type { Grams } from '../units/quantities'
import type { DrainedG } from '../life/kinds/drain'

/** Amounts that are told by a tap: a few spoonfuls, a cup, more. */
export type RoughAmount = keyof typeof ROUGH_ML
/** Liquid as people tell it: weighed, by the mL, or roughly. */
export type LiquidTold = { netG: Grams } | { ml: number } | { rough: RoughAmount }

/**
 * Grams of a liquid that left the meat, at their least and at their most: brine weighs 1.00 to 1.25 g/mL, with syrup in
 * the cure to 1.35. What was weighed is both. Example: 200 mL is 200 to 250 g, with syrup to 270 g.
 */
export function drainedG(told: LiquidTold, { syrup }: { syrup: boolean }): DrainedG {
  if ('netG' in told) return { lowG: told.netG, highG: told.netG }
  const ml = 'ml' in told ? { low: told.ml, high: told.ml } : ROUGH_ML[told.rough]
  const { low, high, withSyrup } = BRINE_DENSITY
  return { lowG: ml.low * low, highG: ml.high * (syrup ? withSyrup : high) }
}
