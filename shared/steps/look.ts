import { z } from 'zod'
import { COLOURS, FEELS, LIQUIDS, MOULDS, SMELLS, SPOTS, SURFACES } from '#core/life/kinds/look'
import { note } from '../entry/fields'
import { toldKind } from './told-kind'

/** Looked at and felt; the note stands in the record. */
export const look = toldKind(
  z.strictObject({
    kind: z.literal('look'),
    feel: z.enum(FEELS).nullable(),
    colour: z.enum(COLOURS).nullable().default(null),
    smell: z.enum(SMELLS).nullable().default(null),
    liquid: z.enum(LIQUIDS).nullable().default(null),
    spots: z.enum(SPOTS).nullable().default(null),
    surface: z.enum(SURFACES).nullable().default(null),
    /** White bloom, or any other colour. */
    mould: z.enum(MOULDS).nullable().default(null),
    /** A file that was sent ahead. */
    photoId: z.int().positive().nullable().default(null),
    note: note(),
  }),
  ({ feel, colour, smell, liquid, spots, surface, mould, photoId }) => ({
    figures: { feel, colour, smell, liquid, spots, surface, mould, photoId },
  }),
)
