import { laterShare } from '#core/plan/later-share'
import type { Fraction } from '#core/units/quantities'
import type { RubInput } from '#shared/contracts/rub'

/** How much of the mix goes on now: all of it, the first of two applications, or what the plan leaves for now. */
export const firstShareOf = (input: RubInput): Fraction =>
  input.method === 'two_applications' ? input.firstShare! : 1 - laterShare(input.plan)

/** The plan has more put on, as much as the look of it asks. */
export const laterByLook = ({ plan }: RubInput): boolean => plan?.cure.adds.some(add => add.share === null) ?? false
