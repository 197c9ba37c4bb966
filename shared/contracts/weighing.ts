import { z } from 'zod'
import type { LotNotShownWhy } from '#core/retained/lot-stayed'
import { MOST_PIECES } from '#core/rules/house'
import type { Grams, Ppm } from '#core/units/quantities'

/** Which pieces are to be weighed, by their ids, and how the liquid left that nobody measured. */
export const weighingQuery = z.strictObject({
  pieces: z
    .string()
    .regex(/^[1-9]\d{0,9}(,[1-9]\d{0,9})*$/)
    .transform(text => [...new Set(text.split(',').map(Number))])
    .pipe(z.array(z.int()).max(MOST_PIECES)),
  how: z.enum(['poured_off', 'leaked']),
  /** Salt still lay there, or went with the liquid, as a draining tells it. */
  salt: z.enum(['lies', 'went']).optional(),
  /** When it was, told late; left out: now. */
  atMs: z.coerce.number().int().positive().optional(),
  /** The scale it is to be weighed on; left out: as the meat was for its rub. */
  scaleId: z.coerce.number().int().positive().optional(),
})
export type WeighingQuery = z.output<typeof weighingQuery>

/** What weighing the meat now would show. */
export interface WeighingView {
  /** The weight as it came in, and all that went onto it. */
  allG: Grams
  /** The least weight that shows enough; null: none does. */
  fromG: Grams | null
  why: LotNotShownWhy | null
  neededPpm: Ppm
}
