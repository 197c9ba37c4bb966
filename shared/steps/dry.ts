import { z } from 'zod'
import { DRY_WAYS, type DryWay } from '#core/life/kinds/dry'
import { lasted, placeId, sure } from './entries'
import { toldKind } from './told-kind'
import { inPlace, lastedWords } from './told-words'

export const DRY_WORDS: Readonly<Record<DryWay, string>> = {
  rack: 'on the rack',
  hung: 'hung up',
  fan: 'before a fan',
  warm: 'warm, without smoke',
}

/** Surface drying, to a pellicle. */
export const dry = toldKind(
  z.strictObject({ kind: z.literal('dry'), minutes: lasted(), how: z.enum(DRY_WAYS), placeId: placeId(), sure: sure() }),
  ({ placeId, how }) => ({ placeId, figures: { how } }),
  {
    done: 'set to dry',
    told: ({ how, minutes, placeId }, of) => `Drying ${DRY_WORDS[how]}${lastedWords(minutes)}${inPlace(placeId, of)}`,
    asks: { dry: { verb: 'Set to dry: ', menu: { after: 'Drying…' }, form: 'rest' } },
  },
)
