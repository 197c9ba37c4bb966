import { DRAINED_RANGE, DRAINED_RANGE_ML } from '#core/rules/ranges'
import { z } from 'zod'
import { drainedG, type LiquidTold } from '#core/retained/drained'
import { formatMeat, formatNumber, type Notation } from '#core/units/format'
import { ROUGH_ML } from '#core/rules/house'
import { decimal, weight, number } from '../entry/fields'
import { sure } from './entries'
import { toldKind } from './told-kind'

/** Liquid as people tell it: weighed, in mL, or roughly. */
const liquid = z.discriminatedUnion('told', [
  z.strictObject({ told: z.literal('weighed'), weight: weight(DRAINED_RANGE) }),
  z.strictObject({ told: z.literal('ml'), ml: z.union([number(DRAINED_RANGE_ML), decimal(DRAINED_RANGE_ML)]) }),
  z.strictObject({ told: z.literal('rough'), rough: z.enum(Object.keys(ROUGH_ML) as (keyof typeof ROUGH_ML)[]) }),
])
const liquidOf = (told: z.output<typeof liquid>): LiquidTold =>
  told.told === 'weighed' ? { netG: told.weight.netG } : told.told === 'ml' ? { ml: told.ml } : { rough: told.rough }

export const ROUGH_WORDS = {
  one_spoon: 'a spoonful',
  some_spoons: 'two or three spoonfuls',
  many_spoons: 'four to six spoonfuls',
  few_spoons: 'a few spoonfuls',
  cup: 'about a cup',
  more: 'more than a cup',
} as const

/** How much left, as it was told. */
export function liquidWords(told: z.output<typeof liquid> | null, as: Notation): string {
  if (told === null) return 'nobody saw how much'
  if (told.told === 'weighed') return formatMeat(told.weight.netG, as)
  return told.told === 'ml' ? `${formatNumber(told.ml, 0, as.decimal)} mL` : ROUGH_WORDS[told.rough]
}

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
  {
    done: 'drained',
    /** What was said of it beside the amount; records of before do not know all of it. */
    told: ({ how, liquid, back, saltLies, tookSalt }, _of, as) =>
      [
        `${how === 'leaked' ? 'Leaked' : 'Drained'}: ${liquidWords(liquid, as)}`,
        back && 'poured back',
        saltLies && 'salt still lay there',
        tookSalt && 'salt went with it',
      ]
        .filter(Boolean)
        .join(', '),
    asks: {
      drain: { verb: 'Drained: ' },
      leak: { verb: 'Leaked: ', menu: { cure: 'It leaked…' }, form: 'drain' },
      purge: { verb: 'Left in the bag: ', menu: { after: 'Liquid left in the bag…' }, form: 'drain', rare: true },
    },
  },
)
