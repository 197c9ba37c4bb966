import { destroysLot, stopsPieces, type HoldState } from '#core/lots/stops-lot'
import { groupBy } from '#core/lists/group-by'
import type { PieceTree } from '#core/life/parts'
import type { Tables } from '../../db/database'

/**
 * Packs in the shop that wait for nobody: their pieces were destroyed by a decision, and they with them. Ids by lot; only
 * lots of which something was destroyed are read. A pack from before slicings named their pieces goes by its lot.
 */
export async function lostPacks(
  tables: Tables,
  holds: readonly (HoldState & { lotId: number | null })[],
  treeOf: (lotId: number) => PieceTree,
): Promise<ReadonlyMap<number, readonly number[]>> {
  const destroyed = groupBy(holds.filter(hold => hold.disposition === 'destroy' && hold.lotId !== null), hold => hold.lotId!)
  if (destroyed.size === 0) return new Map()
  const packs = await tables.packs.pick(['lotId', 'stepId'], { lotId: [...destroyed.keys()], dispatchId: null })
  const steps = await tables.steps.pick(
    ['pieces'],
    { id: [...new Set(packs.flatMap(pack => pack.stepId ?? []))] },
    { withVoided: true },
  )
  const piecesOf = new Map(steps.map(step => [step.id, step.pieces]))
  const lost = packs.filter(({ lotId, stepId }) => {
    const tree = treeOf(lotId)
    const pieces = stepId === null ? null : (piecesOf.get(stepId) ?? null)
    return destroyed.get(lotId)!.some(hold => (pieces ? stopsPieces(hold, pieces, tree) : destroysLot(hold, tree)))
  })
  return new Map([...groupBy(lost, pack => pack.lotId)].map(([lotId, some]) => [lotId, some.map(pack => pack.id)]))
}
