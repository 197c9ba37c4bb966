import { z } from 'zod'
import { COLOURS, FEELS, LIQUIDS, MOULDS, SMELLS, SPOTS, SURFACES, type Feel, type Surface } from '#core/life/kinds/look'
import { note } from '../entry/fields'
import { toldKind } from './told-kind'

export const FEEL_WORDS: Readonly<Record<Feel, string>> = {
  raw: 'as raw',
  edges_firm: 'edges firm',
  soft_middle: 'firm but soft in the middle',
  stiff: 'stiff throughout',
}
export const SURFACE_WORDS: Readonly<Record<Surface, string>> = { wet: 'wet', damp: 'damp', tacky: 'tacky', dry: 'dry' }
const SEEN = {
  colour: { raw: 'colour raw', patchy: 'colour patchy', even: 'colour even' },
  liquid: { dry: 'lies dry', some: 'some liquid', much: 'much liquid' },
  smell: { clean: 'smells clean', off: 'smells OFF' },
  spots: { none: 'no spots', grey: 'grey spots' },
  mould: { none: 'no mould', white: 'white mould', other: 'mould, NOT white' },
} as const

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
  {
    done: 'looked at',
    /** Words only for what was said. Records of before know the feel and the note alone. */
    told: ({ feel, note, photoId, ...seen }) => {
      const said = [
        feel && FEEL_WORDS[feel],
        seen.colour && SEEN.colour[seen.colour],
        seen.liquid && SEEN.liquid[seen.liquid],
        seen.smell && SEEN.smell[seen.smell],
        seen.spots && SEEN.spots[seen.spots],
        seen.mould && SEEN.mould[seen.mould],
        seen.surface && `surface ${SURFACE_WORDS[seen.surface]}`,
        photoId && 'with a photo',
        note && `“${note}”`,
      ].filter(Boolean)
      return `Looked at${said.length ? `: ${said.join(', ')}` : ''}`
    },
    asks: {
      look: { verb: 'Looked at: ', menu: { after: 'Looked at…' } },
      touch: { verb: 'Surface: ', menu: { after: 'Surface…' } },
    },
  },
)
