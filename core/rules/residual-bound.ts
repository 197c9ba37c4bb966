import { PPM_PER_UNIT, type Fraction, type Grams, type Ppm } from '../units/quantities'

export interface ResidualQuestion {
  /** All nitrite that went in, grams as NaNO2, at its highest: of a bath its whole content. */
  nitriteHighG: Grams
  greenG: Grams
  /** Finished weight at its lowest, without rind taken off; null while there is none. */
  finishedLowG: Grams | null
  maxPpm: Ppm | null
}

export interface ResidualBound {
  /** The most that can be left, ppm as NaNO2; null before there is a finished weight. */
  ppm: Ppm | null
  /** The yield under which the limit would no longer be shown to be met; null where the law gives no figure. */
  leastYield: Fraction | null
  /** True when the bound lies at or under the limit: no laboratory is needed to show it. */
  proved: boolean
}

/**
 * Residual nitrite by mass balance: without nitrate in the cure no more can be left than went in, so ppm <= 1e6 x
 * nitrite g at its highest / finished weight g at its lowest. Valid only for a cure without nitrate and with every
 * application weighed. Check: 157 ppm at worst and a yield of 85 % leave at most 184.7 ppm.
 */
export function residualBound({ nitriteHighG, greenG, finishedLowG, maxPpm }: ResidualQuestion): ResidualBound {
  const ppm = finishedLowG === null ? null : (PPM_PER_UNIT * nitriteHighG) / finishedLowG
  const leastYield = maxPpm === null || maxPpm <= 0 ? null : (PPM_PER_UNIT * nitriteHighG) / (maxPpm * greenG)
  return { ppm, leastYield, proved: ppm !== null && maxPpm !== null && ppm <= maxPpm }
}
