import { isRubbed } from '#shared/judging/still-to-come'
import type { CuringAgent } from '#core/cure/agent'
import { leafPiecesOf, type LeafPieces } from '#core/life/leaf-pieces'
import type { RowOf } from '../../db/schema/table-spec'
import type { Tables } from '../../db/database'
import type { lotIngredients, lots, pieces } from '../../db/tables/lots'
import { agentOf } from '../store-rows/ingredient-views'

export type Part = RowOf<typeof lotIngredients>

/** All that was weighed of a lot: what its verdict and the least that stayed are worked out from. */
export interface JudgingFacts {
  lot: RowOf<typeof lots>
  /**
   * What is judged: the pieces as they were rubbed, in order of number; or the parts, once something went on one alone.
   */
  pieces: Pick<RowOf<typeof pieces>, 'id' | 'number' | 'greenG' | 'readings'>[]
  /** What of them each thing went on, and each step was done to. */
  leaves: LeafPieces
  parts: Part[]
  /** What the rub was made with; null for salt only, and where nobody knows what the curing salt was. */
  agent: CuringAgent | null
  /** An ingredient's lot as a curing agent, by its id; null where it is none. */
  agentBy: (ingredientLotId: number) => CuringAgent | null
  /** Share of salt in an ingredient's lot, by its id. */
  saltShare: (ingredientLotId: number) => number
}

export async function lotFacts(tables: Tables, lotId: number): Promise<JudgingFacts> {
  const [lot, rows, parts] = await Promise.all([
    tables.lots.one({ id: lotId }),
    tables.pieces.find({ lotId }, { order: [['number', 'ASC']] }),
    tables.lotIngredients.find({ lotId }),
  ])
  const agentIds = new Set(parts.filter(part => part.role === 'agent').map(part => part.ingredientLotId))
  const [used, agentLots] = await Promise.all([
    tables.ingredientLots.pick(
      ['saltFraction'],
      { id: [...new Set(parts.map(part => part.ingredientLotId))] },
      { withVoided: true },
    ),
    agentIds.size > 0 ? tables.ingredientLots.find({ id: [...agentIds] }) : [],
  ])
  const shares = new Map(used.map(one => [one.id, one.saltFraction]))
  const agents = new Map(agentLots.map(one => [one.id, agentOf(one)]))
  const agentBy = (id: number) => agents.get(id) ?? null
  const rubbed = parts.find(part => part.role === 'agent' && isRubbed(part))
  const leaves = leafPiecesOf(rows)
  const isOnPart = parts.some(part => part.pieceIds?.some(id => leaves.isPart(id)))
  return {
    lot: lot!,
    pieces: isOnPart ? leaves.all : rows.filter(row => row.parentId === null),
    leaves,
    parts,
    agent: rubbed ? agentBy(rubbed.ingredientLotId) : null,
    agentBy,
    saltShare: id => shares.get(id) ?? 0,
  }
}
