import { sumOf } from '../lists/sum-of'
import { TWO_SCALES_SHARE, UNACCOUNTED_SHARE } from '../rules/house'
import type { Fraction, Grams } from '../units/quantities'

export interface Division {
  fromG: Grams
  piecesG: readonly Grams[]
  trimG: Grams
  boneG: Grams
  rindG: Grams
}
export interface Accounted {
  unaccountedG: Grams
  unaccountedShare: Fraction
  status: 'accounted' | 'ask' | 'too_much'
}

/**
 * What a cut of the knife leaves unaccounted: from = pieces + trim + bone + rind + unaccounted. `fromG` above 0.
 * `too_much`: the parts outweigh the whole by more than scale error. `ask`: over 1 % is missing, or over 1 % too much.
 */
export function accountFor(d: Division): Accounted {
  const outG = sumOf(d.piecesG, massG => massG) + d.trimG + d.boneG + d.rindG
  const unaccountedG = d.fromG - outG
  const unaccountedShare = unaccountedG / d.fromG
  if (unaccountedShare < -TWO_SCALES_SHARE) return { unaccountedG, unaccountedShare, status: 'too_much' }
  return { unaccountedG, unaccountedShare, status: Math.abs(unaccountedShare) > UNACCOUNTED_SHARE ? 'ask' : 'accounted' }
}

/** "2" under the delivery, "2.1" under piece 2: the place of a piece in its tree. `among` from 1. */
export const meatPieceLabel = (parent: string | null, among: number): string =>
  parent === null ? String(among) : `${parent}.${among}`
