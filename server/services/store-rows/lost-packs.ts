import { atKey } from '#core/lists/at-key'
import { destroysLot, stopsPieces, type HoldState } from '#core/lots/stops-lot'
import { groupBy } from '#core/lists/group-by'
import type { PieceTree } from '#core/life/parts'
import type { Tables } from '../../db/database'

/** A pack of a lot. */
interface Lost {
  id: number
  lotId: number
}

/** Packs that came back from a customer and were destroyed. */
async function returnedLost(tables: Tables, lotId: readonly number[]): Promise<Lost[]> {
  const rows = lotId.length === 0 ? [] : await tables.packReturns.pick(['lotId', 'packId'], { lotId, disposition: 'destroy' })
  return rows.map(row => ({ id: row.packId, lotId: row.lotId }))
}

/**
 * Packs in the shop that wait for nobody, as ids by lot: their pieces were destroyed by a decision and they with them, or
 * they came back and were destroyed themselves. Only lots of which something was destroyed are read. A pack from before
 * slicings named their pieces goes by its lot.
 */
export async function lostPacks(
  tables: Tables,
  lots: readonly number[],
  holds: readonly (HoldState & { lotId: number | null })[],
  treeOf: (lotId: number) => PieceTree,
): Promise<ReadonlyMap<number, readonly number[]>> {
  const [returned, ofPieces] = [await returnedLost(tables, lots), await piecesLost(tables, holds, treeOf)]
  const all = groupBy([...returned, ...ofPieces], pack => pack.lotId)
  return new Map([...all].map(([lotId, some]) => [lotId, [...new Set(some.map(pack => pack.id))]]))
}

async function piecesLost(
  tables: Tables,
  holds: readonly (HoldState & { lotId: number | null })[],
  treeOf: (lotId: number) => PieceTree,
): Promise<Lost[]> {
  const destroyed = groupBy(holds.filter(hold => hold.disposition === 'destroy' && hold.lotId !== null), hold => hold.lotId!)
  if (destroyed.size === 0) return []
  const packs = await tables.packs.pick(['lotId', 'stepId'], { lotId: [...destroyed.keys()], dispatchId: null })
  const stepId = [...new Set(packs.flatMap(pack => pack.stepId ?? []))]
  const steps = await tables.steps.pick(['pieces'], { id: stepId }, { withVoided: true })
  const piecesOf = new Map(steps.map(step => [step.id, step.pieces]))
  return packs.filter((pack) => {
    const tree = treeOf(pack.lotId)
    const pieces = pack.stepId === null ? null : (piecesOf.get(pack.stepId) ?? null)
    return atKey(destroyed, pack.lotId).some(hold => (pieces ? stopsPieces(hold, pieces, tree) : destroysLot(hold, tree)))
  })
}
