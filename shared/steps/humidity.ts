import { z } from 'zod'
import { toldKind } from './told-kind'

/** Percent of relative humidity in which meat hangs. */
export const HUMIDITY = { least: 40, most: 95 }

/** The air where it hangs is kept at so many percent from now on. */
export const humidity = toldKind(
  z.strictObject({ kind: z.literal('humidity'), percent: z.int().min(HUMIDITY.least).max(HUMIDITY.most) }),
  ({ percent }) => ({ figures: { percent } }),
  {
    done: 'in air set anew',
    told: ({ percent }) => `Air set to ${percent} %`,
    asks: { humidity: { verb: 'Air set: ', menu: { hangs: 'Air set to…' } } },
  },
)
