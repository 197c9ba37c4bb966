import { z } from 'zod'
import { PIECE_FACES } from '#core/life/kinds/turn'
import { TURN_WAYS, type TurnWay } from '#core/turning/rhythm'
import { order } from './entries'
import { toldKind } from './told-kind'

const TURNED: Readonly<Record<TurnWay, string>> = { turned: 'Turned', massaged: 'Massaged', stirred: 'Stirred' }

/** Turned, massaged or stirred. */
export const turn = toldKind(
  z.strictObject({ kind: z.literal('turn'), how: z.enum(TURN_WAYS), face: z.enum(PIECE_FACES).nullable(), order: order() }),
  step => ({ figures: { how: step.how, face: step.face, ...(step.order && { order: step.order }) } }),
  {
    done: 'turned',
    told: ({ how, face }) => `${TURNED[how]}${face ? `, ${face} up` : ''}`,
    asks: {
      turn: { verb: 'Turned: ' },
      massaged: { verb: 'Massaged: ', menu: { cure: 'Massaged' } },
    },
  },
)
