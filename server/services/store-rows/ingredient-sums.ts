import type { Grams } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import { but } from '../../db/schema/where'

/**
 * What left ingredient lots, added up by the database: into lots and mixes, and by moves and counts. `locked` for a
 * write that goes by it.
 */
export async function ingredientSums(tables: Tables, ids: readonly number[], locked = false) {
  const where = { ingredientLotId: ids }
  const asked = { sum: ['massG'], lock: locked } as const
  const none = new Map<number, { sum: { massG: Grams } }>()
  const [used, mixed, moved, counted]
    = ids.length === 0
      ? [new Map<number, { sum: { weighedG: Grams } }>(), none, none, none]
      : await Promise.all([
          tables.lotIngredients.totals('ingredientLotId', { sum: ['weighedG'], where, lock: locked }),
          tables.mixParts.totals('ingredientLotId', { ...asked, where }),
          tables.stockMoves.totals('ingredientLotId', { ...asked, where: { ...where, kind: but('count') } }),
          tables.stockMoves.totals('ingredientLotId', { ...asked, where: { ...where, kind: 'count' } }),
        ])
  const usedG = (id: number) => (used.get(id)?.sum.weighedG ?? 0) + (mixed.get(id)?.sum.massG ?? 0)
  return {
    /** What went into lots and mixes. */
    usedG,
    /** All that left, less what a count found more of. */
    outG: (id: number) => usedG(id) + (moved.get(id)?.sum.massG ?? 0) - (counted.get(id)?.sum.massG ?? 0),
  }
}
