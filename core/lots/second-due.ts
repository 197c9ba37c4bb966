import type { CureMethod } from '../cure/cure-method'
import type { Fraction } from '../units/quantities'

/** Two applications, of which the second has not been recorded. `firstShare`: of the mix that went on first; null: all of it. */
export const waitingForSecond = (
  lot: { method: CureMethod; firstShare: Fraction | null },
  parts: readonly { application: number }[],
): boolean =>
  lot.method === 'two_applications' && lot.firstShare !== null && !parts.some(part => part.application === 2)
