import { z } from 'zod'
import { name } from '../entry/fields'
import { order, sure } from './entries'
import { toldKind } from './told-kind'

/** Moved to another place, or within it. */
export const move = toldKind(
  z.strictObject({
    kind: z.literal('move'),
    placeId: z.int().positive(),
    spot: name(60).nullable(),
    order: order(),
    /** True when it hangs, and too wet for the warm was asked about: it hangs there already. */
    sure: sure(),
  }),
  step => ({ placeId: step.placeId, figures: { spot: step.spot, ...(step.order && { order: step.order }) } }),
  {
    done: 'moved',
    told: ({ placeId, spot }, { places }) => `Moved to ${places[placeId] ?? 'another place'}${spot ? `, ${spot}` : ''}`,
    /** Within its place: a stack that lies otherwise. */
    asks: { stack: { verb: 'Stacked: ', menu: { cure: 'Stacked otherwise…' } } },
  },
)
