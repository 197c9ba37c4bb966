import { z } from 'zod'
import { decimal, temperature } from '../entry/fields'
import { lasted, MOST_CHANGES } from './entries'
import { toldKind } from './told-kind'

export const LITRES = { least: 0.1, most: 1000 }

/** In water, to take salt off. */
export const soak = toldKind(
  z.strictObject({
    kind: z.literal('soak'),
    minutes: lasted(),
    litres: decimal(LITRES.least, LITRES.most).nullable(),
    water: temperature().nullable(),
    changes: z.int().min(0).max(MOST_CHANGES),
  }),
  ({ litres, water, changes }) => ({ figures: { litres, waterC: water?.tempC ?? null, changes } }),
)
