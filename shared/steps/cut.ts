import { MEAT_RANGE, PART_RANGE } from '#core/rules/ranges'
import { z } from 'zod'
import { wordList } from '#core/lists/word-list'
import { CUT_OFFS } from '#core/life/kinds/cut'
import { named } from '../faults/issues'
import { weight } from '../entry/fields'
import { instrumentId } from '../entry/instrument-id'
import { tag } from '../entry/tags'
import { sure } from './entries'
import { toldKind } from './told-kind'

/** A part of a piece, or what came off one, grams. */
export const MOST_PARTS = 12

/** One piece, cut into parts; what it weighed just before, if somebody looked. */
export const cut = toldKind(
  z
    .strictObject({
      kind: z.literal('cut'),
      whole: weight(MEAT_RANGE).nullable(),
      into: z
        .array(z.strictObject({ weight: weight(PART_RANGE), tag: tag().nullable() }))
        .min(1, named('no_parts'))
        .max(MOST_PARTS, named('too_many_parts')),
      offcuts: z.array(z.strictObject({ kind: z.enum(CUT_OFFS), weight: weight(PART_RANGE) })).max(2 * CUT_OFFS.length),
      scaleId: instrumentId(),
      /** Missing or too much was asked about, and stands. */
      sure: sure(),
    })
    .refine(cut => cut.into.length + cut.offcuts.length > 1, { error: 'nothing_cut', path: ['into'] }),
  // The parts are rows by then.
  (_step, { cut: made }) => ({ figures: made! }),
  {
    done: 'cut up',
    /** "Cut into 3a “1.2 kg” and 3b “900 g”; off it rind “160 g”". */
    told: ({ into, offcuts, whole }, { steps }) => {
      const labels = steps.find(one => one.into)?.into ?? []
      const parts = into.map(
        ({ weight, tag }, i) => `${labels[i] ?? 'a part'} “${weight.typed}”${tag ? `, tagged ${tag}` : ''}`,
      )
      const off = offcuts.map(({ kind, weight }) => `${kind} “${weight.typed}”`)
      const before = whole ? `, “${whole.typed}” before it` : ''
      return `Cut into ${wordList(parts)}${off.length > 0 ? `; off it ${wordList(off)}` : ''}${before}`
    },
    asks: { cut: { verb: 'Cut up: ', menu: { cure: 'Cut up…', after: 'Cut up, rind off…' }, rare: true } },
  },
)
