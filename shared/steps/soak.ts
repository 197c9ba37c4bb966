import { CHANGES_RANGE, SOAK_RANGE_L } from '#core/rules/ranges'
import { z } from 'zod'
import { formatNumber } from '#core/units/format'
import { decimal, temperature, whole } from '../entry/fields'
import { lasted } from './entries'
import { toldKind } from './told-kind'
import { lastedWords } from './told-words'

export const LITRES = { least: 0.1, most: 1000 }

/** A soak in water, to take salt off. */
export const soak = toldKind(
  z.strictObject({
    kind: z.literal('soak'),
    minutes: lasted(),
    litres: decimal(SOAK_RANGE_L).nullable(),
    water: temperature().nullable(),
    changes: whole(CHANGES_RANGE),
  }),
  ({ litres, water, changes }) => ({ figures: { litres, waterC: water?.tempC ?? null, changes } }),
  {
    done: 'put into water',
    told: ({ minutes, litres, water, changes }, _of, as) =>
      [
        `Soaked${lastedWords(minutes)}`,
        litres !== null && `${formatNumber(litres, 1, as.decimal)} L`,
        water && `water ${water.typed}`,
        changes > 0 && `water changed ${changes === 1 ? 'once' : `${changes} times`}`,
      ]
        .filter(Boolean)
        .join(', '),
    asks: { soak: { verb: 'Soaked: ', menu: { after: 'Soaked…' } } },
  },
)
