import { AIR_KEPT_RANGE } from '#core/rules/ranges'
import { z } from 'zod'
import { whole } from '../entry/fields'
import { toldKind } from './told-kind'

/** The air where it hangs is kept at so many percent from now on. */
export const humidity = toldKind(
  z.strictObject({ kind: z.literal('humidity'), percent: whole(AIR_KEPT_RANGE) }),
  ({ percent }) => ({ figures: { percent } }),
  {
    done: 'in air set anew',
    told: ({ percent }) => `Air set to ${percent} %`,
    asks: { humidity: { verb: 'Air set: ', menu: { hangs: 'Air set to…' } } },
  },
)
