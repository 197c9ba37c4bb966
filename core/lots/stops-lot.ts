/** A hold as far as it says whether its lot may go on. */
export interface HoldState {
  disposition: 'release' | 'rework' | 'destroy' | null
  /** Held are these pieces; null: the lot. */
  pieceIds: readonly number[] | null
}

/** The whole lot was destroyed: not some of its pieces alone. `pieces` is how many it has. */
export const destroysLot = ({ disposition, pieceIds }: HoldState, pieces: number): boolean =>
  disposition === 'destroy' && (pieceIds === null || pieceIds.length >= pieces)

/** The lot as a whole goes nowhere: somebody has to decide, or it was destroyed. */
export const stopsLot = (hold: HoldState, pieces: number): boolean =>
  hold.disposition === null || destroysLot(hold, pieces)

/** Some pieces go nowhere: they are among those held or destroyed. */
export const stopsPieces = ({ disposition, pieceIds }: HoldState, wanted: readonly number[]): boolean =>
  (disposition === null || disposition === 'destroy')
  && (pieceIds === null || pieceIds.some(id => wanted.includes(id)))
