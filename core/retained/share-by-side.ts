import type { Cut } from '../rules/cuts'
import type { Fraction, Grams } from '../units/quantities'

/** Faces of a piece that take cure: more on the flesh than on the fat or rind, edges too. */
export const SIDES = ['flesh', 'fat', 'edges'] as const
export type SideShares = Record<(typeof SIDES)[number], Fraction>
export const USUAL_SIDES: SideShares = { flesh: 0.6, fat: 0.3, edges: 0.1 }

/**
 * A piece's mix over its faces; the shares are taken in proportion, so they need not add up to 1. At least one more
 * than 0.
 */
export function shareBySide(massG: Grams, shares: SideShares): Record<(typeof SIDES)[number], Grams> {
  const total = shares.flesh + shares.fat + shares.edges
  return {
    flesh: (massG * shares.flesh) / total,
    fat: (massG * shares.fat) / total,
    edges: (massG * shares.edges) / total,
  }
}

/**
 * Whether a mix lies mostly on fat or rind, which take almost none of it: what runs off then may be most of it. By the
 * shares of the sides; jowl is fat all round, and counts as such whatever is said.
 */
export const isMostlyOnFat = (cut: Cut, sides: SideShares | null): boolean =>
  cut === 'jowl' || (sides !== null && sides.fat > sides.flesh)
