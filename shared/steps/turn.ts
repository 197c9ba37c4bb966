import { z } from 'zod'
import { PIECE_FACES } from '#core/life/kinds/turn'
import { TURN_WAYS } from '#core/turning/rhythm'
import { order } from './entries'
import { toldKind } from './told-kind'

/** Turned, massaged or stirred. */
export const turn = toldKind(
  z.strictObject({ kind: z.literal('turn'), how: z.enum(TURN_WAYS), face: z.enum(PIECE_FACES).nullable(), order: order() }),
  step => ({ figures: { how: step.how, face: step.face, ...(step.order && { order: step.order }) } }),
)
