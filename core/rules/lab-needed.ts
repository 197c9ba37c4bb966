import { USUAL_READY_SHARE } from './house'
import type { RuleRow } from './rule-set'
import { asNaNO2 } from './limits'
import { residualBound } from './residual-bound'
import { PPM_PER_UNIT, type Fraction, type Grams, type Ppm } from '../units/quantities'

export interface LabQuestion {
  /** Rows that count what is left in the product. */
  residual: readonly RuleRow[]
  /** Ingoing nitrite of the lot, and the most it can be by its weighing. */
  ppm: Ppm
  highPpm: Ppm
  /** What the shop's lots of this cut weighed ready to slice, as a share of green weight; null: it has none yet. */
  yieldShare: Fraction | null
}

/** A laboratory will be needed, because no weighing can show what is left; `underPpm`: up to there it would not be. */
export interface LabNeeded {
  yieldShare: Fraction
  isUsual: boolean
  underPpm: Ppm
}

/** Any weight: the bound is a share of it. */
const GREEN_G: Grams = 1000

/**
 * Whether mass balance will show what is left of the nitrite at a yield, or a laboratory has to; null where no row with a
 * figure asks, or the balance will do. By the same bound as at sending, at its worst case.
 */
export function labNeeded({ residual, ppm, highPpm, yieldShare }: LabQuestion): LabNeeded | null {
  const limits = residual.flatMap(row => (row.maxPpm === null ? [] : [asNaNO2(row, row.maxPpm)]))
  if (limits.length === 0 || ppm <= 0) return null
  const share = yieldShare ?? USUAL_READY_SHARE
  const { proved, leastYield } = residualBound({
    nitriteHighG: (highPpm / PPM_PER_UNIT) * GREEN_G,
    greenG: GREEN_G,
    finishedLowG: share * GREEN_G,
    maxPpm: Math.min(...limits),
  })
  if (proved || leastYield === null) return null
  return { yieldShare: share, isUsual: yieldShare !== null, underPpm: Math.floor((ppm * share) / leastYield) }
}
