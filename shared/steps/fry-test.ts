import { z } from 'zod'
import { FRY_VERDICTS, type FryVerdict, type SaltTaste } from '#core/life/kinds/fry-test'
import { sure } from './entries'
import { toldKind } from './told-kind'

export const SALT_WORDS: Readonly<Record<SaltTaste, string>> = {
  1: 'far too little salt',
  2: 'a little short of salt',
  3: 'salt right',
  4: 'a little salty',
  5: 'far too salty',
}
const VERDICT_WORDS: Readonly<Record<FryVerdict, string>> = { done: 'done', again: 'to be soaked again' }

/** A slice fried to taste its salt. */
export const fryTest = toldKind(
  z.strictObject({
    kind: z.literal('fry_test'),
    salt: z.literal([1, 2, 3, 4, 5]),
    verdict: z.enum(FRY_VERDICTS),
    /** Nobody told of a soak: asked about, and tasted all the same. */
    sure: sure(),
  }),
  ({ salt, verdict }) => ({ figures: { salt, verdict } }),
  {
    done: 'fried to taste',
    told: ({ salt, verdict }) => `Fried a slice: ${SALT_WORDS[salt]}, ${VERDICT_WORDS[verdict]}`,
    asks: { fry_test: { verb: 'Fried a slice: ', menu: { after: 'Fried a slice…' } } },
  },
)
