import type { Tables } from '../../db/database'
import { lockRows } from '../lock-rows'

const COLUMNS = ['code', 'saltOnly'] as const

/**
 * Open lots of which some piece lies in a place, or once did, in order of id. `lock`: the place is locked first, so that
 * nothing more is brought into it, and then they are.
 */
export async function lotsThatLay(tables: Tables, placeId: number, { lock = false } = {}) {
  if (lock) await lockRows(tables, { places: [placeId] })
  const open = await tables.lots.pick([], { finishedAtMs: null })
  if (open.length === 0) return []
  const steps = await tables.steps.pick(['lotId'], { placeId, lotId: open.map(lot => lot.id) })
  const lotId = [...new Set(steps.map(step => step.lotId))]
  return await tables.lots.pick(COLUMNS, { id: lotId }, { order: [['id', 'ASC']], lock })
}
export type LyingLot = Awaited<ReturnType<typeof lotsThatLay>>[number]
