import { z } from 'zod'
import { FRY_VERDICTS } from '#core/life/kinds/fry-test'
import { sure } from './entries'
import { toldKind } from './told-kind'

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
)
