import { OUT_OF_CURE } from './stage'
import { stepKind } from './kind'

/** How meat rests: `part_frozen` to be sliced. */
export const REST_WAYS = ['open', 'wrapped', 'sealed', 'part_frozen'] as const
export type RestWay = (typeof REST_WAYS)[number]

/** A rest, before a heat or after. */
export const rest = stepKind({
  figures: { how: 'wrapped' } as { how: RestWay },
  says: ({ how }) => ({ how }),
  stages: OUT_OF_CURE,
  becomes: 'rest',
  lasts: true,
  traits: ['pressed', 'asked', 'movesRetained'],
})
