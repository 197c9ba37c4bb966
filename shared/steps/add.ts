import { z } from 'zod'
import { ADD_FACES, type AddFace } from '#core/life/kinds/add'
import { instrumentId } from '../entry/instrument-id'
import { puts, sure } from './entries'
import { toldKind } from './told-kind'
import { putWords } from './told-words'

/** Where more of the cure goes on. */
export const ON_FACE: Readonly<Record<AddFace, string>> = {
  up: 'on the face that lies up',
  flesh: 'on the flesh',
  fat: 'on the fat',
  all: 'all over',
}

/** More of the cure: salt, curing salt or a mix. */
export const add = toldKind(
  z.strictObject({ kind: z.literal('add'), face: z.enum(ADD_FACES), parts: puts(), scaleId: instrumentId(), sure: sure() }),
  ({ face, parts }, { readabilityG, application = 0 }) => ({
    figures: { application, face, readabilityG, unweighed: parts.some(part => part.weighed === null) },
  }),
  {
    done: 'given more of its cure',
    told: (step, of) => `More ${ON_FACE[step.face]}: ${putWords(step, of)}`,
    asks: {
      add: { verb: 'Put on: ', menu: { cure: 'Put more on…' } },
      turn_add: { verb: 'Turned, and put on: ', form: 'add' },
    },
  },
)
