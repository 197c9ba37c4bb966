import { SHOP_RANGE_PPM, TARGET_RANGE_PPM } from '#core/rules/ranges'
import type { z } from 'zod'
import { decimal, note, reason } from '../entry/fields'

interface Setting<I extends z.ZodType> {
  input: I
  /** The name that the form uses. */
  label: string
  /** A figure in ppm; none: words, on a line of their own. */
  unit?: 'ppm'
}
const setting = <I extends z.ZodType>(spec: Setting<I>): Setting<I> => spec

/**
 * What a shop asks beyond its rule set: how each setting is checked and what it is called. Contract, form, record and
 * view read this list; a setting has a column of its name in `shops`, but for those older than the list.
 */
export const HOUSE_SETTINGS = {
  targetPpm: setting({ input: decimal(SHOP_RANGE_PPM), label: 'House target', unit: 'ppm' }),
  floorPpm: setting({ input: decimal(TARGET_RANGE_PPM).nullable(), label: 'Own floor (optional)', unit: 'ppm' }),
  maxPpm: setting({ input: decimal(SHOP_RANGE_PPM).nullable(), label: 'Own limit (optional)', unit: 'ppm' }),
  labAlways: setting({
    input: reason().nullable().default(null),
    label: 'Authority wants a laboratory result for every lot whose residue counts: why (empty: it does not)',
  }),
  /** What the shop does with white bloom on hung meat, in its own words. */
  mouldPolicy: setting({
    input: note().default(null),
    label: 'White bloom on hung meat: what is done with it (empty: it is discarded)',
  }),
}
export type HouseSetting = keyof typeof HOUSE_SETTINGS
export const HOUSE_SETTING_KEYS = Object.keys(HOUSE_SETTINGS) as HouseSetting[]
export type HouseSettings = { [K in HouseSetting]: z.output<(typeof HOUSE_SETTINGS)[K]['input']> }
/** The settings as fields of a contract. */
export const houseFields = Object.fromEntries(HOUSE_SETTING_KEYS.map(key => [key, HOUSE_SETTINGS[key].input])) as {
  [K in HouseSetting]: (typeof HOUSE_SETTINGS)[K]['input']
}
