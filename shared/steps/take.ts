import { z } from 'zod'
import { TAKE_WHYS, type TakeWhy } from '#core/life/kinds/take'
import { toldKind } from './told-kind'

/** Why pieces were taken away. */
export const TAKE_WORDS: Readonly<Record<TakeWhy, string>> = {
  thrown_away: 'thrown away',
  tasted: 'tasted up',
  other: 'for something else',
}

/** Gone, and never packed: thrown away, tasted up. What is sold whole is a pack. */
export const take = toldKind(
  z.strictObject({ kind: z.literal('take'), why: z.enum(TAKE_WHYS) }),
  ({ why }) => ({ figures: { why } }),
  {
    done: 'taken away',
    told: ({ why }) => `Taken away: ${TAKE_WORDS[why]}`,
    asks: { take: { verb: 'Taken away: ', menu: { cure: 'Taken away…', after: 'Taken away…' }, rare: true } },
  },
)
