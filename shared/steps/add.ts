import { z } from 'zod'
import { ADD_FACES } from '#core/life/kinds/add'
import { instrumentId } from '../entry/instrument-id'
import { puts, sure } from './entries'
import { toldKind } from './told-kind'

/** More of the cure: salt, curing salt or a mix. */
export const add = toldKind(
  z.strictObject({ kind: z.literal('add'), face: z.enum(ADD_FACES), parts: puts(), scaleId: instrumentId(), sure: sure() }),
  ({ face, parts }, { readabilityG, application = 0 }) => ({
    figures: { application, face, readabilityG, unweighed: parts.some(part => part.weighed === null) },
  }),
)
