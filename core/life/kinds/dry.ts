import { OUT_OF_CURE } from './stage'
import { stepKind } from './kind'

/** How the surface dries: `warm` in the smoker without smoke. */
export const DRY_WAYS = ['rack', 'hung', 'fan', 'warm'] as const
export type DryWay = (typeof DRY_WAYS)[number]

/** Surface drying, to a pellicle. */
export const dry = stepKind({
  figures: { how: 'rack' } as { how: DryWay },
  says: ({ how }) => ({ how }),
  stages: OUT_OF_CURE,
  becomes: 'dry',
  lasts: true,
  traits: ['pressed', 'asked', 'movesRetained'],
})
