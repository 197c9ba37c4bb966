import type { LotPiece, LotSummary } from '#shared/contracts/lots'

/** Out of the cure, in no heat, and not sliced to the end: it may go on, into a smoke or onto the table. */
export const isFree = (piece: LotPiece): boolean =>
  piece.outAtMs !== null && piece.stage !== 'heat' && piece.goneAtMs === null

/** Pieces of a lot that may go on: free, and not held. */
export const goesOn = ({ pieces, heldPieces }: Pick<LotSummary, 'pieces' | 'heldPieces'>): LotPiece[] =>
  pieces.filter(piece => isFree(piece) && !heldPieces.includes(piece.id))

/** Whether something of a piece of a lot was sliced, by its id. */
export function slicedOf({ did }: Pick<LotSummary, 'did'>): (id: number) => boolean {
  const slices = did.filter(step => step.kind === 'slice')
  return id => slices.some(step => step.pieces === null || step.pieces.includes(id))
}
