import { STAGES } from './stage'
import { stepKind } from './kind'

/** How the thickest piece feels, from the first day to the last. */
export const FEELS = ['raw', 'edges_firm', 'soft_middle', 'stiff'] as const
export type Feel = (typeof FEELS)[number]

/** What else is seen of a piece: its colour, its smell, what lies under it, spots that did not cure. */
export const COLOURS = ['raw', 'patchy', 'even'] as const
export const SMELLS = ['clean', 'off'] as const
export const LIQUIDS = ['dry', 'some', 'much'] as const
export const SPOTS = ['none', 'grey'] as const
export const MOULDS = ['none', 'white', 'other'] as const
export type Mould = (typeof MOULDS)[number]
/** How the surface feels to a clean finger: no smoke before it is tacky all over. */
export const SURFACES = ['wet', 'damp', 'tacky', 'dry'] as const
export type Surface = (typeof SURFACES)[number]
export interface Seen {
  feel: Feel | null
  colour?: (typeof COLOURS)[number] | null
  smell?: (typeof SMELLS)[number] | null
  liquid?: (typeof LIQUIDS)[number] | null
  spots?: (typeof SPOTS)[number] | null
  surface?: Surface | null
  mould?: Mould | null
  photoId?: number | null
}

/** Looked at and felt. */
export const look = stepKind({
  figures: { feel: null } as Seen,
  says: ({ surface }) => (surface ? { surface } : {}),
  stages: STAGES,
  traits: ['pressed', 'observed', 'asked', 'mayHold'],
})
