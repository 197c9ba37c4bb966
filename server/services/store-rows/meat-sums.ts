import type { Tables } from '../../db/database'
import { RUBBED } from '../../db/tables/which-pieces'
import { present } from '../../db/schema/where'

/**
 * What was taken from deliveries' meat, and how many cut pieces are in no lot yet. `locked` for a write that goes by
 * it.
 */
export async function meatSums(tables: Tables, ids: readonly number[], locked = false) {
  const where = { meatLotId: ids }
  if (ids.length === 0) return { usedG: () => 0, loose: () => 0 }
  const [direct, cut, parts, divided, rubbed] = await Promise.all([
    tables.pieces.totals('meatLotId', { sum: ['greenG'], where: { ...where, ...RUBBED, meatPieceId: null }, lock: locked }),
    tables.cuttings.totals('meatLotId', { sum: ['fromG'], where: { ...where, parentId: null }, lock: locked }),
    tables.meatPieces.totals('meatLotId', { where, lock: locked }),
    tables.cuttings.totals('meatLotId', { where: { ...where, parentId: present }, lock: locked }),
    tables.pieces.totals('meatLotId', { where: { ...where, ...RUBBED, meatPieceId: present }, lock: locked }),
  ])
  return {
    /** Rubbed as it came, or put on the cutting board. */
    usedG: (id: number) => (direct.get(id)?.sum.greenG ?? 0) + (cut.get(id)?.sum.fromG ?? 0),
    /** Cut pieces that were neither cut again nor rubbed. */
    loose: (id: number) => (parts.get(id)?.count ?? 0) - (divided.get(id)?.count ?? 0) - (rubbed.get(id)?.count ?? 0),
  }
}
