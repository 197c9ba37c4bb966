import { OUT_OF_CURE } from './stage'
import { stepKind } from './kind'

/** Moved to another place, or within it. */
export const move = stepKind({
  figures: { spot: null } as { spot: string | null; order?: readonly number[] },
  stages: ['cure', ...OUT_OF_CURE],
  traits: ['pressed', 'movesPiece'],
})
