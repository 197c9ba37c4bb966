import { z } from 'zod'
import { CUT_OFFS } from '#core/life/kinds/cut'
import { named } from '../faults/issues'
import { weight } from '../entry/fields'
import { instrumentId } from '../entry/instrument-id'
import { tag } from '../entry/tags'
import { MEAT_RANGE, sure } from './entries'
import { toldKind } from './told-kind'

/** A part of a piece, or what came off one, grams. */
export const PART_RANGE = { minG: 1, maxG: 60_000 }
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
  // Its parts are rows by then.
  (_step, { cut: made }) => ({ figures: made! }),
)
