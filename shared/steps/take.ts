import { z } from 'zod'
import { TAKE_WHYS } from '#core/life/kinds/take'
import { toldKind } from './told-kind'

/** Gone, and never packed: thrown away, tasted up. What is sold whole is a pack. */
export const take = toldKind(z.strictObject({ kind: z.literal('take'), why: z.enum(TAKE_WHYS) }), ({ why }) => ({
  figures: { why },
}))
