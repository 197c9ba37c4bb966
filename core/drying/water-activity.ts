import { BRINE_FULL_SHARE } from '../cure/formulate'
import type { Fraction } from '../units/quantities'

/** Osmotic coefficients of NaCl in water at 25 °C by molality (mol/kg). Hamer and Wu 1972, J. Phys. Chem. Ref. Data 1, 1047. */
const OSMOTIC: readonly (readonly [molal: number, phi: number])[] = [
  [0, 1],
  [0.1, 0.9324],
  [0.5, 0.9209],
  [1, 0.9355],
  [2, 0.9833],
  [3, 1.0453],
  [4, 1.1158],
  [5, 1.1916],
  [6, 1.2706],
]
const SALT_KG_PER_MOL = 0.05844
const WATER_KG_PER_MOL = 0.018015

/** Salt in what of the meat is water: salt / (salt + water), shares or masses of one thing, 0 or more, not both 0. */
export const waterPhaseSalt = (salt: number, water: number): Fraction => salt / (salt + Math.max(0, water))

/**
 * Estimated water activity of meat by its water-phase salt, as if all of it were NaCl in water at 25 °C, 0 to 26.4 %; more
 * counts as that. Straight lines between the coefficients. An estimate only: a meter's reading overrides it.
 */
export function waterActivity(phaseSalt: Fraction): number {
  const salt = Math.min(phaseSalt, BRINE_FULL_SHARE)
  const molal = Math.min(salt / (1 - salt) / SALT_KG_PER_MOL, OSMOTIC.at(-1)![0])
  const i = Math.max(1, OSMOTIC.findIndex(([at]) => at >= molal))
  const [[fromM, fromPhi], [toM, toPhi]] = [OSMOTIC[i - 1]!, OSMOTIC[i]!]
  const phi = fromPhi + ((toPhi - fromPhi) * (molal - fromM)) / (toM - fromM)
  return Math.exp(-2 * molal * phi * WATER_KG_PER_MOL)
}

/** The same after hanging: `salt` and `water` as shares of green weight, less water by what it lost, a share of green weight. */
export const hungActivity = (salt: Fraction, water: Fraction, lost: Fraction): number =>
  waterActivity(waterPhaseSalt(salt, water - lost))
