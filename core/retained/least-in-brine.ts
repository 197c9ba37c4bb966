import { LEAST_WATER } from '../rules/house'
import type { Cut } from '../rules/cuts'
import { PPM_PER_UNIT, type Grams, type Ppm } from '../units/quantities'

/**
 * The least nitrite in meat that lies even with its brine, ppm as NaNO2 on green weight: it spreads over water, and fat
 * holds little. `1e6 x nitrite x meat water / (meat water + brine water) / green`, the meat's water at its lowest for
 * the cut. Example: 2 g in 10 kg of green meat with 6 kg of water under 4 kg of brine water: 120 ppm. Masses in grams,
 * green weight over 0; what the law counts is another figure, and is higher.
 */
export function leastInBrine(q: { nitriteG: Grams; greenG: Grams; brineWaterG: Grams; cut: Cut }): Ppm {
  const waterG = q.greenG * LEAST_WATER[q.cut]
  return (PPM_PER_UNIT * q.nitriteG * waterG) / (waterG + q.brineWaterG) / q.greenG
}
