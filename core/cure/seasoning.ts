import { sumOf } from '../lists/sum-of'
import { GRAMS_PER_KILOGRAM, type Fraction, type Grams } from '../units/quantities'
import { shareByWeight } from './share-by-weight'

/** What is in a composite seasoning, as mass fractions: soy sauce is about 0.16 salt. */
export interface Composition {
  saltFraction: Fraction
  sugarFraction: Fraction
  waterFraction: Fraction
}
/** Sugar of a lot of the store as a share of it: a plain sugar is all sugar, a syrup by its label. */
export const sugarOf = ({ kind, sugarFraction }: { kind: string; sugarFraction: Fraction }): Fraction =>
  kind === 'sugar' ? sugarFraction || 1 : sugarFraction
export const PLAIN: Composition = { saltFraction: 0, sugarFraction: 0, waterFraction: 0 }

export const AMOUNT_KINDS = ['percent', 'g_per_kg', 'g_per_piece'] as const
export type AmountKind = (typeof AMOUNT_KINDS)[number]

export interface SeasoningWanted {
  key: string
  per: AmountKind
  /** Per cent of green weight, grams per kilogram of it, or grams for each piece. 0 or more. */
  amount: number
  /** Which pieces get it, counted from 0; null: all of them. */
  pieces: readonly number[] | null
  composition: Composition
}

export interface SeasoningPlanned {
  key: string
  massG: Grams
  perPieceG: Grams[]
  shared: boolean
  composition: Composition
}

const exactG = (wanted: SeasoningWanted, pieceG: Grams): Grams =>
  wanted.per === 'g_per_piece'
    ? wanted.amount
    : (wanted.amount / (wanted.per === 'percent' ? 100 : GRAMS_PER_KILOGRAM)) * pieceG

/**
 * Grams of one seasoning for each piece and in all; `round` takes the whole to what the scale shows, and pieces share
 * the difference.
 */
export function planSeasoning(
  wanted: SeasoningWanted,
  piecesG: readonly Grams[],
  round: (massG: Grams) => Grams,
): SeasoningPlanned {
  const exact = piecesG.map((pieceG, i) =>
    wanted.pieces === null || wanted.pieces.includes(i) ? exactG(wanted, pieceG) : 0,
  )
  const totalG = sumOf(exact, g => g)
  const massG = round(totalG)
  return {
    key: wanted.key,
    massG,
    perPieceG: totalG > 0 ? shareByWeight(massG, exact) : exact,
    shared: wanted.pieces === null && wanted.per !== 'g_per_piece',
    composition: wanted.composition,
  }
}

export const carriedBy = (planned: readonly SeasoningPlanned[], what: 'saltFraction' | 'sugarFraction'): Grams =>
  sumOf(planned, s => s.massG * s.composition[what])
