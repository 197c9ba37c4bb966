import type { Grams } from '../units/quantities'

/** Nearest division of a scale; readabilityG more than 0. */
export const toDivision = (massG: Grams, readabilityG: Grams): Grams => {
  const divisions = Math.round(massG / readabilityG)
  // Multiplying by the inverse keeps 0.1 g steps free of binary dust.
  const perGram = 1 / readabilityG
  return Number.isInteger(perGram) ? divisions / perGram : divisions * readabilityG
}
