import type { Against } from './against'
import { stepKind } from './kind'

/** Taken out of the cure. */
export const out = stepKind({
  figures: {} as { rinses: number | null } & Against,
  stages: ['cure'],
  becomes: 'dry',
  traits: ['pressed', 'asked'],
})
