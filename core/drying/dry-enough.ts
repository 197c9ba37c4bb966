import { HANG_MOST_ACTIVITY } from '../rules/house'
import type { Fraction } from '../units/quantities'
import { hungActivity } from './water-activity'

/** Whether meat is dry and salt enough to hang warm, by an estimate; `needs`: the loss at which it is, of green weight. */
export interface DryEnough {
  isDry: boolean
  activity: number
  /** Null where no loss that its water allows gets there. */
  needs: Fraction | null
}

const STEPS = 200

/** `salt`, `water` and `lost` as shares of green weight: salt at its least, water at its most. */
export function dryEnough(salt: Fraction, water: Fraction, lost: Fraction): DryEnough {
  const activity = hungActivity(salt, water, Math.min(lost, water))
  const at = (i: number): Fraction => (water * i) / STEPS
  const needs = Array.from({ length: STEPS }, (_, i) => at(i)).find(loss => hungActivity(salt, water, loss) <= HANG_MOST_ACTIVITY)
  return { isDry: activity <= HANG_MOST_ACTIVITY, activity, needs: needs ?? null }
}
