import { z } from 'zod'
import { drainedG, type LiquidTold } from '#core/retained/drained'
import { ROUGH_ML } from '#core/rules/house'
import { decimal, DRAINED_RANGE, weight } from '../entry/fields'
import { sure } from './entries'
import { toldKind } from './told-kind'

const MOST_ML = 50_000

/** Liquid as people tell it: weighed, in mL, or roughly. */
const liquid = z.discriminatedUnion('told', [
  z.strictObject({ told: z.literal('weighed'), weight: weight(DRAINED_RANGE) }),
  z.strictObject({ told: z.literal('ml'), ml: z.union([z.number().min(1).max(MOST_ML), decimal(1, MOST_ML)]) }),
  z.strictObject({ told: z.literal('rough'), rough: z.enum(Object.keys(ROUGH_ML) as (keyof typeof ROUGH_ML)[]) }),
])
const liquidOf = (told: z.output<typeof liquid>): LiquidTold =>
  told.told === 'weighed' ? { netG: told.weight.netG } : told.told === 'ml' ? { ml: told.ml } : { rough: told.rough }

/** Liquid poured off, or leaked out. */
export const drain = toldKind(
  z.strictObject({
    kind: z.literal('drain'),
    how: z.enum(['poured_off', 'leaked']),
    /** Null: nobody saw how much. */
    liquid: liquid.nullable(),
    /** Kept, and poured back. */
    back: z.boolean(),
    /** Salt was to be seen lying there. */
    saltLies: z.boolean(),
    /** Salt that had not dissolved went along. */
    tookSalt: z.boolean().default(false),
    /** More than the usual was asked about, and stands. */
    sure: sure(),
  }),
  ({ liquid, how, back, saltLies, tookSalt }, { syrup }) => {
    const drained = liquid === null ? null : drainedG(liquidOf(liquid), { syrup })
    return { figures: { how, drained, back, saltLies, tookSalt } }
  },
)
