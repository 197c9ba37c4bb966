import { overBrought } from '#core/slicing/over-brought'
import { worstCaseG } from '#core/cure/ppm-interval'
import type { Grams } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import { refuse, type FieldPath, type Refusal } from '../context'

/** What leaves the table with a write; `readings`: how many weights of it are new. `readyG` null: nobody weighed what came. */
interface Out {
  lot: { id: number; meatReadabilityG: Grams }
  readyG: Grams | null
  addG: Grams
  readings: number
  /** Somebody was asked, and says that it is so. */
  sure: boolean
  path: FieldPath
}

/** What is in packs and offcuts of a lot already, and on how many weights that rests. */
async function sumsOf(tables: Tables, lotId: number) {
  const [packsG, offcutsG, packs, offcuts] = await Promise.all([
    tables.packs.sum('netG', { lotId }),
    tables.offcuts.sum('massG', { lotId, atCut: null }),
    tables.packs.count({ lotId }),
    tables.offcuts.count({ lotId, atCut: null }),
  ])
  return { outG: packsG + offcutsG, readings: packs + offcuts }
}

/**
 * Refuses what was not brought to the table, or asks about it: packs and offcuts of a lot over what was weighed ready to
 * slice. The lot must be locked. `asked`: it was asked about, so that what was answered belongs to the record.
 * Scales are taken as fine as the lot's own.
 */
export async function refuseOver(
  tables: Tables,
  { lot, readyG, addG, readings, sure, path }: Out,
): Promise<{ refused: Refusal | null; outG: Grams; asked: boolean }> {
  const before = await sumsOf(tables, lot.id)
  const outG = before.outG + addG
  if (readyG === null) return { refused: null, outG, asked: false }
  const worstG = worstCaseG({ readabilityG: lot.meatReadabilityG, readings: 1 + before.readings + readings })
  const over = overBrought({ broughtG: readyG, outG, worstG })
  const asked = over === 'asked'
  if (over === 'fits' || (asked && sure)) return { refused: null, outG, asked }
  const params = { outG, readyG, overG: outG - readyG }
  // What is asked is said where it is answered, not at the field.
  return { refused: asked ? refuse('packs_over_asked', params) : refuse('packs_over_weight', params, path), outG, asked }
}
