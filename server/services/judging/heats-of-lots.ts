import { groupBy } from '#core/lists/group-by'
import type { Milliseconds } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { pieces } from '../../db/tables/lots'
import { isLeaf } from '../../db/tables/which-pieces'
import { lotHeats, type LotInRuns, runsOfPieces } from './heat-groups'

/**
 * The runs of lots, which pieces were in which, and what their heats say: a part was in those of what it was cut from,
 * too. `all`: the pieces of all of them.
 */
export async function heatsOfLots(
  tables: Tables,
  rows: readonly LotInRuns['lot'][],
  all: readonly Pick<RowOf<typeof pieces>, 'id' | 'lotId' | 'parentId' | 'goneWhy'>[],
  nowMs: Milliseconds,
) {
  const { inRuns, runs } = await runsOfPieces(tables, all)
  const ofPiece = groupBy(inRuns, row => row.pieceId)
  const leaves = groupBy(all.filter(isLeaf), piece => piece.lotId)
  const heatsOf = await lotHeats(
    tables,
    rows.map((lot) => {
      const mine = (leaves.get(lot.id) ?? []).flatMap(piece => ofPiece.get(piece.id) ?? [])
      const ids = new Set(mine.map(row => row.runId))
      return { lot, inRuns: mine, runs: runs.filter(run => ids.has(run.id)) }
    }),
    nowMs,
  )
  return { ofPiece, runs, heatsOf }
}
