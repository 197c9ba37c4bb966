import { CHANGES_RANGE } from '#core/rules/ranges'
import { z } from 'zod'
import { whole } from '../entry/fields'
import { toldKind } from './told-kind'

/** Taken out of the cure. */
export const out = toldKind(
  z.strictObject({ kind: z.literal('out'), rinses: whole(CHANGES_RANGE).nullable() }),
  ({ rinses }) => ({ figures: { rinses } }),
  {
    done: 'taken out of the cure',
    told: ({ rinses }) =>
      rinses === 0
        ? 'Out of the cure, not rinsed'
        : `Out of the cure, rinsed${rinses !== null && rinses > 1 ? ` ${rinses} times` : ''}`,
    asks: { out: { verb: 'Out of the cure: ' } },
  },
)
