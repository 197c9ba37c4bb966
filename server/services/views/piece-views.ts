import { atKey } from '#core/lists/at-key'
import { pieceLabel } from '#core/life/parts'
import type { CutUp, LotPiece } from '#shared/contracts/lots'
import type { RowOf } from '../../db/schema/table-spec'
import type { Tables } from '../../db/database'
import type { pieces } from '../../db/tables/lots'
import { PIECE_STATE } from '../../db/tables/piece-state'
import { isLeaf } from '../../db/tables/which-pieces'

/** The columns of a piece that the rooms show. */
export const PIECE_SHOWN = ['number', 'part', 'parentId', 'greenG', 'greenTyped', 'bag', 'tag', ...PIECE_STATE] as const
type Shown = { id: number } & Pick<RowOf<typeof pieces>, (typeof PIECE_SHOWN)[number]>

/**
 * A piece as the rooms show it. Named one by one: the floor has hundreds, and copying them key by key takes ten times
 * as long.
 */
export const pieceView = (row: Shown, meatCode: string): LotPiece => ({
  id: row.id,
  number: row.number,
  part: row.part,
  parentId: row.parentId,
  label: pieceLabel(row),
  meatCode,
  greenG: row.greenG,
  greenTyped: row.greenTyped,
  bag: row.bag,
  tag: row.tag,
  placeId: row.placeId,
  spot: row.spot,
  face: row.face,
  stage: row.stage,
  sinceMs: row.sinceMs,
  outAtMs: row.outAtMs,
  layer: row.layer,
  stackTurns: row.stackTurns,
  goneAtMs: row.goneAtMs,
  goneWhy: row.goneWhy === 'cut' ? null : row.goneWhy,
})

/** The pieces of a lot as they were rubbed, and those that were cut up since. `leaves`: as its rooms show them. */
export async function pieceFamily(
  tables: Tables,
  lotId: number,
  leaves: readonly LotPiece[],
): Promise<{ rubbed: LotPiece[]; cutUp: CutUp[] }> {
  if (leaves.every(piece => piece.parentId === null)) return { rubbed: [...leaves], cutUp: [] }
  const rows = await tables.pieces.pick([...PIECE_SHOWN, 'meatLotId'], { lotId }, { order: [['number', 'ASC'], ['id', 'ASC']] })
  const codes = new Map(leaves.map(piece => [piece.number, piece.meatCode]))
  return {
    rubbed: rows
      .filter(row => row.parentId === null)
      .map(row => pieceView(row, atKey(codes, row.number))),
    cutUp: rows
      .filter(row => !isLeaf(row))
      .map(row => ({ id: row.id, parentId: row.parentId, label: pieceLabel(row), atMs: row.goneAtMs! })),
  }
}
