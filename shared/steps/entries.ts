import { INGREDIENT_RANGE, LASTED_RANGE_MINUTES } from '#core/rules/ranges'
import { z } from 'zod'
import { MOST_PIECES, MOST_SEASONINGS } from '#core/rules/house'
import { named } from '../faults/issues'
import { code, weight, whole } from '../entry/fields'

/** The minutes that it lasted, now that it is over; null: it goes on, until the next thing begins. */
export const lasted = () => whole(LASTED_RANGE_MINUTES).nullable()
/** Where it lies from then on; null: where it lay. */
export const placeId = () => z.int().positive().nullable()

/** What goes on: lots of the store, each with its weight for all pieces of the press; null: without being weighed. */
export const puts = () =>
  z
    .array(z.strictObject({ lotCode: code(), weighed: weight(INGREDIENT_RANGE).nullable() }))
    .min(1, named('nothing_put_on'))
    .max(MOST_SEASONINGS + 3, named('too_many_seasonings'))
/** Ids of pieces from the bottom up, where a stack does not lie as its order has it. */
export const order = () =>
  z
    .array(z.int().positive())
    .min(1)
    .max(MOST_PIECES)
    .refine(ids => new Set(ids).size === ids.length, named('piece_twice'))
    .optional()
/** True when it was asked about, and lies on the meat already. */
export const sure = () => z.boolean().default(false)
