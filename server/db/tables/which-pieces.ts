import { pieceTree, type PieceTree } from '#core/life/parts'
import type { GoneWhy } from '#core/life/gone'
import { groupBy } from '#core/lists/group-by'

/**
 * Pieces as they were rubbed: what is added up for stock, verdicts and green weight. Their parts would count a second
 * time.
 */
export const RUBBED = { parentId: null } as const

/** What was not cut up: what is a piece, or was one to the end. */
export const isLeaf = ({ goneWhy }: { goneWhy: GoneWhy | null }): boolean => goneWhy !== 'cut'

/** What was cut from what, lot by lot. */
export const treesOf = (
  rows: readonly { id: number; lotId: number; parentId: number | null }[],
): ((lotId: number) => PieceTree) => {
  const byLot = groupBy(rows, row => row.lotId)
  return lotId => pieceTree(byLot.get(lotId) ?? [])
}
