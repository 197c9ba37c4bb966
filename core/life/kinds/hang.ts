import { OUT_OF_CURE } from './stage'
import { stepKind } from './kind'

/** Hung to dry by weight. */
export const hang = stepKind({
  /** The hook of each piece, where somebody said. */
  figures: { spots: {} } as { spots: Readonly<Record<number, string>> },
  stages: OUT_OF_CURE,
  becomes: 'hang',
  lasts: true,
  traits: ['pressed', 'asked'],
})
