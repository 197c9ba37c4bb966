/** Chance of picking the odd one of three blindly. */
const CHANCE = 1 / 3

/**
 * Triangle test: probability that `tasters` people guessing blindly get `right` or more correct (one-sided binomial).
 * Whole numbers, 0 <= right <= tasters <= 1000. Check: 7 right of 10 is p = 0.0197. Relative error below 1e-12.
 */
export function triangleP(tasters: number, right: number): number {
  let term = CHANCE ** tasters
  let p = right <= tasters ? term : 0
  // From all right downwards, each term from the one above: sums small terms first.
  for (let k = tasters; k > right; k--) {
    term *= ((k / (tasters - k + 1)) * (1 - CHANCE)) / CHANCE
    p += term
  }
  return Math.min(1, p)
}
