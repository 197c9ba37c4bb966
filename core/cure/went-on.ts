import { sumOf } from '../lists/sum-of'
import type { Fraction, Grams } from '../units/quantities'

/**
 * Something that went onto pieces: its weight, what of it is salt and sugar, and whether some of it was not weighed.
 */
export interface PutOnPieces {
  massG: Grams
  saltFraction: Fraction
  sugarFraction: Fraction
  /** Pieces by number, or number and part; null: shared over all by weight. */
  pieces: readonly (number | string)[] | null
  unweighed: boolean
}
/** Salt and sugar on a piece as shares of its green weight; `open`: at least that, for more went on unweighed. */
export interface PieceSalt {
  number: number | string
  saltShare: Fraction
  sugarShare: Fraction
  open: boolean
}

/** What of salt and sugar went onto each piece, by weight where a put is shared. Green weights more than 0. */
export const wentOn = (
  pieces: readonly { number: number | string; greenG: Grams }[],
  puts: readonly PutOnPieces[],
): PieceSalt[] =>
  pieces.map(({ number }) => {
    const mine = puts.filter(put => put.pieces === null || put.pieces.includes(number))
    const shareOf = (of: (put: PutOnPieces) => Fraction): Fraction =>
      sumOf(mine, (put) => {
        const onto = pieces.filter(piece => put.pieces === null || put.pieces.includes(piece.number))
        return (put.massG * of(put)) / sumOf(onto, piece => piece.greenG)
      })
    return {
      number,
      saltShare: shareOf(put => put.saltFraction),
      sugarShare: shareOf(put => put.sugarFraction),
      open: mine.some(put => put.unweighed && put.saltFraction + put.sugarFraction > 0),
    }
  })
