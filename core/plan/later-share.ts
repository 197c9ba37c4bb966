import { sumOf } from '../lists/sum-of'
import type { Fraction } from '../units/quantities'
import type { Plan } from './plan'

/** Of a lot's mix, how much its plan keeps for later; what goes on by the look of it counts as nothing. 0 to 1. */
export const laterShare = (plan: Pick<Plan, 'cure'> | null): Fraction =>
  plan ? sumOf(plan.cure.adds, add => add.share ?? 0) : 0
