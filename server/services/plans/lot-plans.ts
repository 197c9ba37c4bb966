import { assumedPlan, type Planless } from '#core/plan/assumed-plan'
import { groupBy } from '#core/lists/group-by'
import type { PieceTree } from '#core/life/parts'
import type { LotPlan } from '#shared/contracts/plans'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { plans } from '../../db/tables/life'

/** The plan that a lot follows, and those of pieces that go a way of their own. */
export interface LotPlans {
  plan: LotPlan
  piecePlans: LotPlan[]
}
type PlanRow = RowOf<typeof plans>

const asFollowed = ({ content, number, assumed, pieceIds, reason, atMs }: PlanRow): LotPlan => ({
  plan: content,
  number,
  assumed,
  pieces: pieceIds,
  reason,
  atMs,
})

/** The last plan of the lot that stands, and of each piece with one of its own its last. */
function followed(lot: Planless, rows: readonly PlanRow[], tree?: PieceTree): LotPlans {
  const inOrder = rows.toSorted((a, b) => a.number - b.number)
  const whole = inOrder.findLast(row => row.pieceIds === null)
  const leaves = (ids: readonly number[]) => (tree ? tree.asLeaves(ids) : ids)
  const ofPiece = new Map(inOrder.flatMap(row => leaves(row.pieceIds ?? []).map(id => [id, row] as const)))
  const own = groupBy([...ofPiece], ([, row]) => row)
  return {
    plan: whole
      ? asFollowed(whole)
      : { plan: assumedPlan(lot), number: 0, assumed: true, pieces: null, reason: null, atMs: null },
    piecePlans: [...own].map(([row, pairs]) => ({ ...asFollowed(row), pieces: pairs.map(([id]) => id) })),
  }
}

/** Plans that lots follow, by id; `of`: with parts, which follow what they were cut from. One statement. */
export async function lotPlans(
  tables: Tables,
  lots: readonly (Planless & { id: number })[],
): Promise<Map<number, LotPlans & { of: (tree: PieceTree) => LotPlans }>> {
  const rows = groupBy(await tables.plans.find({ lotId: lots.map(lot => lot.id) }), row => row.lotId)
  return new Map(
    lots.map((lot) => {
      const mine = rows.get(lot.id) ?? []
      return [lot.id, { ...followed(lot, mine), of: tree => followed(lot, mine, tree) }]
    }),
  )
}
