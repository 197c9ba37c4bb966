import { sumOf } from '../lists/sum-of'
import type { Fraction } from '../units/quantities'
import type { Plan } from './plan'

/** The share of a lot's mix that its plan keeps for later, 0 to 1; what goes on by the look of it counts as nothing. */
export const laterShare = (plan: Pick<Plan, 'cure'> | null): Fraction =>
  plan ? sumOf(plan.cure.adds, add => add.share ?? 0) : 0
