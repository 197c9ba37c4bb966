import { MEAT_RANGE } from '#core/rules/ranges'
import { z } from 'zod'
import { wordList } from '#core/lists/word-list'
import { worstCaseG } from '#core/cure/ppm-interval'
import { MOST_PIECES } from '#core/rules/house'
import { weight } from '../entry/fields'
import { instrumentId } from '../entry/instrument-id'
import { sure } from './entries'
import { toldKind } from './told-kind'

/** The meat: all pieces of the press on one scale, or some of them together on each tare. */
export const weigh = toldKind(
  z
    .strictObject({
      kind: z.literal('weigh'),
      weight: weight(MEAT_RANGE).nullable().default(null),
      groups: z
        .array(z.strictObject({ pieces: z.array(z.int().positive()).min(1).max(MOST_PIECES), weight: weight(MEAT_RANGE) }))
        .max(MOST_PIECES)
        .default([]),
      scaleId: instrumentId(),
      /** Salt lies on it still. */
      saltLies: z.boolean(),
      /** Heavier than when it was weighed last was asked about, and stands. */
      sure: sure(),
    })
    .refine(({ weight: all, groups }) => (all === null) !== (groups.length === 0), { error: 'weighed_one_way', path: ['weight'] })
    .refine(
      ({ groups }) => {
        const ids = groups.flatMap(group => group.pieces)
        return new Set(ids).size === ids.length
      },
      { error: 'piece_twice', path: ['groups'] },
    ),
  ({ weight: whole, saltLies }, { readabilityG }) => {
    const { netG, readings } = whole!
    return { figures: { what: 'meat', netG, offG: worstCaseG({ readabilityG, readings }), saltLies } }
  },
  {
    done: 'weighed',
    /** "Weighed: “5.1 kg”", or each group of pieces with its weight. */
    told: ({ weight: whole, groups = [], saltLies }, { steps }) => {
      const labels = steps.filter(one => one.kind === 'weigh').map(one => one.pieces)
      const each = groups.map((group, i) => `${wordList(labels[i] ?? [])} “${group.weight.typed}”`)
      return `Weighed: ${whole ? `“${whole.typed}”` : wordList(each)}${saltLies ? ', salt lies on it' : ''}`
    },
    asks: { weigh: { verb: 'Weighed: ', menu: { cure: 'Weigh the meat…', after: 'Weigh…' } } },
  },
)
