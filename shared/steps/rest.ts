import { z } from 'zod'
import { REST_WAYS, type RestWay } from '#core/life/kinds/rest'
import { lasted, placeId, sure } from './entries'
import { toldKind } from './told-kind'
import { inPlace, lastedWords } from './told-words'

export const REST_WORDS: Readonly<Record<RestWay, string>> = {
  open: 'unwrapped',
  wrapped: 'wrapped',
  sealed: 'sealed',
  part_frozen: 'part-frozen',
}

/** A rest, before a heat or after. */
export const rest = toldKind(
  z.strictObject({ kind: z.literal('rest'), minutes: lasted(), how: z.enum(REST_WAYS), placeId: placeId(), sure: sure() }),
  ({ placeId, how }) => ({ placeId, figures: { how } }),
  {
    done: 'laid to rest',
    told: ({ how, minutes, placeId }, of) => `Resting ${REST_WORDS[how]}${lastedWords(minutes)}${inPlace(placeId, of)}`,
    asks: { rest: { verb: 'Laid to rest: ', menu: { after: 'Resting…' } } },
  },
)
