import { againstOf, type Against } from './against'
import { stepKind } from './kind'

/** Taken out of the cure. */
export const out = stepKind({
  figures: { rinses: null } as { rinses: number | null } & Against,
  says: figures => ({ rinses: figures.rinses, ...againstOf(figures) }),
  stages: ['cure'],
  becomes: 'dry',
  traits: ['pressed', 'asked'],
})
