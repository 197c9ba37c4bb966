import type { Tables } from '../../db/database'

const COLUMNS = ['code', 'saltOnly'] as const

/**
 * Open lots of which some piece lies in a place, or once did, in order of id. `lock`: they are locked; the place must be,
 * so that nothing more is brought into it.
 */
export async function lotsThatLay(tables: Tables, placeId: number, { lock = false } = {}) {
  const open = await tables.lots.pick([], { finishedAtMs: null })
  if (open.length === 0) return []
  const steps = await tables.steps.pick(['lotId'], { placeId, lotId: open.map(lot => lot.id) })
  const lotId = [...new Set(steps.map(step => step.lotId))]
  return await tables.lots.pick(COLUMNS, { id: lotId }, { order: [['id', 'ASC']], lock })
}
export type LyingLot = Awaited<ReturnType<typeof lotsThatLay>>[number]
