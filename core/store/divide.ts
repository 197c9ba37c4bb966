import type { Grams } from '../units/quantities'

export interface Division {
  fromG: Grams
  piecesG: readonly Grams[]
  trimG: Grams
  boneG: Grams
  rindG: Grams
}
export interface Accounted {
  unaccountedG: Grams
  unaccountedShare: number
  status: 'accounted' | 'ask' | 'too_much'
}

/** Two scales, or one read twice, may differ by this much before more came out than went in. */
export const DIVISION_SLACK = 0.02
/** Unaccounted beyond this is asked about. House. */
export const ASK_ABOVE = 0.01

/**
 * What a cut of the knife leaves unaccounted: from = pieces + trim + bone + rind + unaccounted. `fromG` above 0.
 * `too_much`: the parts outweigh the whole by more than scale error. `ask`: over 1 % is missing, or over 1 % too much.
 */
export function accountFor(d: Division): Accounted {
  const outG = d.piecesG.reduce((sum, massG) => sum + massG, 0) + d.trimG + d.boneG + d.rindG
  const unaccountedG = d.fromG - outG
  const unaccountedShare = unaccountedG / d.fromG
  if (unaccountedShare < -DIVISION_SLACK) return { unaccountedG, unaccountedShare, status: 'too_much' }
  return { unaccountedG, unaccountedShare, status: Math.abs(unaccountedShare) > ASK_ABOVE ? 'ask' : 'accounted' }
}

/** "2" under the delivery, "2.1" under piece 2: the place of a piece in its tree. `among` from 1. */
export const pieceLabel = (parent: string | null, among: number): string =>
  parent === null ? String(among) : `${parent}.${among}`
