import { INGREDIENT_REST_SHARE, MEAT_REST_SHARE, REST_SHARE } from '../rules/house'
import type { Grams } from '../units/quantities'

/**
 * Part of the lot is still to be sliced: pieces from which nothing was, or what is left of those on the table. Null: it
 * was not weighed.
 */
export const isLeft = ({ readyG, leftG, unsliced }: { readyG: Grams | null; leftG: Grams | null; unsliced: number }): boolean =>
  unsliced > 0 || (readyG !== null && leftG !== null && leftG > REST_SHARE * readyG)

export interface LotEnd {
  destroyed: boolean
  heldOpen: boolean
  packs: number
  unsent: number
  readyG: Grams | null
  /** Nothing, once all its pieces were sliced to the end. */
  leftG: Grams | null
  /** Pieces from which nothing was sliced yet. */
  unsliced: number
  /** True when none of its pieces is one any more. */
  allGone: boolean
}

/**
 * True when nothing of a lot waits for anybody: it was destroyed, or packed to the end and sent, or taken away, and no
 * hold on it is undecided.
 */
export const isFinishedLot = (lot: LotEnd): boolean =>
  lot.destroyed || ((lot.packs > 0 || lot.allGone) && lot.unsent === 0 && !lot.heldOpen && !isLeft(lot))

/** True when nothing of a delivery's meat is left to cut or to rub; `loosePieces` lie cut and are in no lot. */
export const isFinishedMeat = (meat: {
  state: 'in' | 'held' | 'refused' | 'destroyed'
  weightG: Grams
  leftG: Grams
  loosePieces: number
}): boolean =>
  meat.state === 'refused'
  || meat.state === 'destroyed'
  || (meat.state === 'in' && meat.loosePieces === 0 && meat.leftG <= MEAT_REST_SHARE * meat.weightG)

/** A bag is empty, by the book. */
export const isFinishedIngredient = (lot: { amountG: Grams; leftG: Grams }): boolean =>
  lot.leftG <= INGREDIENT_REST_SHARE * lot.amountG
