import { worstCaseG } from '#core/cure/ppm-interval'
import type { Grams } from '#core/units/quantities'
import type { Tables } from '../../db/database'

/**
 * How far off what a lot weighed ready to slice can be, grams: half a division for each sitting, of the coarsest scale that
 * weighed at the slicing table. A sitting that named no scale counts by the one the meat was weighed on for its rub.
 */
export async function readyOffG(tables: Tables, lot: { id: number; meatReadabilityG: Grams }): Promise<Grams> {
  const [packsBy, sittings] = await Promise.all([
    tables.packs.totals('scaleId', { where: { lotId: lot.id } }),
    tables.steps.count({ lotId: lot.id, kind: 'slice' }),
  ])
  const named = [...packsBy.keys()].filter(id => id > 0)
  const scales = named.length > 0 ? await tables.instruments.pick(['readability'], { id: named }) : []
  const divisions = scales.flatMap(scale => scale.readability ?? [])
  const ofRub = divisions.length < packsBy.size || divisions.length === 0 ? [lot.meatReadabilityG] : []
  return worstCaseG({ readabilityG: Math.max(...divisions, ...ofRub), readings: Math.max(1, sittings) })
}
