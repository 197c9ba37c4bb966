import type { PieceTree } from '../life/parts'

/** A hold as far as it says whether its lot may go on. */
export interface HoldState {
  /**
   * `reworking`: it may be worked on, and goes to no customer until the owner decides on what came of it. `rework`: how
   * that was decided before 0.6, when it was let go with it.
   */
  disposition: 'release' | 'rework' | 'reworking' | 'destroy' | null
  /** Held are these pieces, and what is cut from them; null: the lot. */
  pieceIds: readonly number[] | null
}

/** The whole lot was destroyed: not some of its pieces alone. */
export const destroysLot = ({ disposition, pieceIds }: HoldState, tree: PieceTree): boolean =>
  disposition === 'destroy' && (pieceIds === null || tree.asLeaves(pieceIds).length >= tree.leaves.length)

/** The lot as a whole goes nowhere: somebody has to decide, or it was destroyed. */
export const stopsLot = (hold: HoldState, tree: PieceTree): boolean =>
  hold.disposition === null || destroysLot(hold, tree)

/** Which of a lot's pieces go nowhere, of those that are not cut up. */
export const heldPieces = (holds: readonly HoldState[], tree: PieceTree): number[] =>
  tree.leaves.filter(id => holds.some(hold => stopsPieces(hold, [id], tree)))

/** Some pieces go nowhere: they, or what they were cut from, are among those held or destroyed. */
export const stopsPieces = ({ disposition, pieceIds }: HoldState, wanted: readonly number[], tree: PieceTree): boolean =>
  (disposition === null || disposition === 'destroy')
  && (pieceIds === null || tree.withAncestors(wanted).some(id => pieceIds.includes(id)))

/** Some pieces go to no customer: what goes nowhere, and what is being reworked. */
export const stopsSending = (hold: HoldState, wanted: readonly number[], tree: PieceTree): boolean =>
  stopsPieces(hold.disposition === 'reworking' ? { ...hold, disposition: null } : hold, wanted, tree)

/** Somebody has to decide yet, or decide on what came of reworking it. */
export const isUndecided = ({ disposition }: Pick<HoldState, 'disposition'>): boolean =>
  disposition === null || disposition === 'reworking'
