import { sumOf } from '../lists/sum-of'
import type { Grams } from '../units/quantities'

/**
 * Shares of a mass over pieces in proportion to their weights; the shares add up to `massG` exactly enough
 * (rounding of doubles only). Weights more than 0. Every piece then has the same ppm.
 */
export function shareByWeight(massG: Grams, weightsG: readonly Grams[]): Grams[] {
  const totalG = sumOf(weightsG, weightG => weightG)
  return weightsG.map(weightG => (massG * weightG) / totalG)
}
