import { sumOf } from '../lists/sum-of'
import type { Fraction, Grams, Milliseconds } from '../units/quantities'
import type { LossPoint } from './forecast'

/** Meat on the scale; `pieces`: ids of what lay on it together, null all of the lot. */
export interface HangWeight {
  atMs: Milliseconds
  netG: Grams
  pieces: readonly number[] | null
}

/** A weight of a piece as its loss; `shared`: it lay on the scale with others, and counts as having lost as much as they. */
export interface PieceLoss extends LossPoint {
  shared: boolean
}

/**
 * What a piece had lost each time it was weighed, of its green weight, in order of time; less than nothing where it took
 * up brine. `pieces` are all of the lot. Green weights more than 0.
 */
export function pieceLosses(
  pieceId: number,
  pieces: readonly { id: number; greenG: Grams }[],
  weighed: readonly HangWeight[],
): PieceLoss[] {
  return weighed
    .filter(one => one.pieces === null || one.pieces.includes(pieceId))
    .map(({ atMs, netG, pieces: some }) => {
      const on = pieces.filter(piece => some === null || some.includes(piece.id))
      const lost: Fraction = 1 - netG / sumOf(on, piece => piece.greenG)
      return { atMs, lost, shared: on.length > 1 }
    })
    .toSorted((a, b) => a.atMs - b.atMs)
}
