import { SECONDS_PER_DAY, type Days, type Millimetres } from '../units/quantities'

/** Salt in lean pork at 4 °C, m2/s; published 1.5e-10 to 3.5e-10. */
export const LEAN_DIFFUSIVITY_4C = 2.5e-10
const MM_PER_M = 1000
/** Dt/L2 at which the centre reaches 0.90 of its final salt, all cure on both faces at the start (Crank, 2nd ed.). */
const FOURIER_AT_90_PERCENT = Math.log(20) / Math.PI ** 2

/**
 * Days until the middle of an even slab of lean, cured from both faces at 4 °C, is at 90 % of its final salt.
 * thicknessMm more than 0. A first estimate: fat, rind, cold and uneven rubbing slow it. Check: 40 mm gives 5.6 days.
 * The series is cut after its first term; the second, 2 x 20^-4, is 1.25e-5 there.
 */
export function daysToCentre(thicknessMm: Millimetres, diffusivityM2S = LEAN_DIFFUSIVITY_4C): Days {
  const halfM = thicknessMm / MM_PER_M / 2
  return (FOURIER_AT_90_PERCENT * halfM ** 2) / diffusivityM2S / SECONDS_PER_DAY
}
