import type { Grams } from '../../units/quantities'
import { OUT_OF_CURE } from './stage'
import { stepKind } from './kind'

/** What comes off when a piece is cut up after the rub. */
export const CUT_OFFS = ['rind', 'bone', 'fat', 'trim', 'samples'] as const
export type CutOff = (typeof CUT_OFFS)[number]

/** One piece, cut into one part or more. */
export const cut = stepKind({
  /** `parts` by id, weighed as they were then. `wholeG`: what it weighed just before. */
  figures: { parts: [], offcuts: [], wholeG: null } as {
    parts: readonly { pieceId: number; netG: Grams }[]
    offcuts: readonly { kind: CutOff; netG: Grams }[]
    wholeG: Grams | null
  },
  stages: ['cure', ...OUT_OF_CURE],
  traits: ['asked', 'movesPiece'],
})
