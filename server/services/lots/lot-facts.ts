import type { CuringAgent } from '#core/cure/agent'
import type { RowOf } from '../../db/table-spec'
import type { Tables } from '../../db/database'
import type { lotIngredients, lots, pieces } from '../../db/tables/lots'
import { agentOf } from '../store/ingredient-views'

/** All that was weighed of a lot: what its verdict and the least that stayed are worked out from. */
export interface LotFacts {
  lot: RowOf<typeof lots>
  /** In order of number. */
  pieces: RowOf<typeof pieces>[]
  parts: RowOf<typeof lotIngredients>[]
  /** Null for salt only, and where nobody knows what the curing salt was. */
  agent: CuringAgent | null
  /** Share of salt in an ingredient's lot, by its id. */
  saltShare: (ingredientLotId: number) => number
}

export async function lotFacts(tables: Tables, lotId: number): Promise<LotFacts> {
  const [lot, rows, parts] = await Promise.all([
    tables.lots.one({ id: lotId }),
    tables.pieces.find({ lotId }, { order: [['number', 'ASC']] }),
    tables.lotIngredients.find({ lotId }),
  ])
  const agentPart = parts.find(part => part.role === 'agent')
  const [used, agentLot] = await Promise.all([
    tables.ingredientLots.pick(
      ['saltFraction'],
      { id: [...new Set(parts.map(part => part.ingredientLotId))] },
      { withVoided: true },
    ),
    agentPart && tables.ingredientLots.one({ id: agentPart.ingredientLotId }),
  ])
  const shares = new Map(used.map(one => [one.id, one.saltFraction]))
  return {
    lot: lot!,
    pieces: rows,
    parts,
    agent: agentLot ? agentOf(agentLot) : null,
    saltShare: id => shares.get(id) ?? 0,
  }
}
