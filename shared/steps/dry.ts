import { z } from 'zod'
import { DRY_WAYS } from '#core/life/kinds/dry'
import { lasted, placeId, sure } from './entries'
import { toldKind } from './told-kind'

/** Surface drying, to a pellicle. */
export const dry = toldKind(
  z.strictObject({ kind: z.literal('dry'), minutes: lasted(), how: z.enum(DRY_WAYS), placeId: placeId(), sure: sure() }),
  ({ placeId, how }) => ({ placeId, figures: { how } }),
)
