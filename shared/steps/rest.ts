import { z } from 'zod'
import { REST_WAYS } from '#core/life/kinds/rest'
import { lasted, placeId, sure } from './entries'
import { toldKind } from './told-kind'

/** At rest, before a heat or after. */
export const rest = toldKind(
  z.strictObject({ kind: z.literal('rest'), minutes: lasted(), how: z.enum(REST_WAYS), placeId: placeId(), sure: sure() }),
  ({ placeId, how }) => ({ placeId, figures: { how } }),
)
