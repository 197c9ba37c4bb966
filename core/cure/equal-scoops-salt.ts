import type { Fraction, Grams } from '../units/quantities'

/**
 * Salt of each piece where the mix is dealt out in equal parts instead of by weight, as a share of its green weight: the
 * heavy ones get less. `saltG`: all salt of the lot, that of curing salt and seasonings with it. Weights over 0.
 */
export const equalScoopsSalt = (saltG: Grams, piecesG: readonly Grams[]): Fraction[] =>
  piecesG.map(massG => saltG / piecesG.length / massG)
