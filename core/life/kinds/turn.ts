import type { TurnWay } from '../../turning/rhythm'
import { stepKind } from './kind'

/** The face of a piece that lies up. */
export const PIECE_FACES = ['flesh', 'fat'] as const
export type PieceFace = (typeof PIECE_FACES)[number]

/** Turned, massaged or stirred. */
export const turn = stepKind({
  /**
   * `face`: which lies up now, where it is not simply the other one. `order`: ids from the bottom up, where the stack does
   * not lie as its order has it.
   */
  figures: { how: 'turned', face: null } as { how: TurnWay; face: PieceFace | null; order?: readonly number[] },
  stages: ['cure'],
  traits: ['pressed'],
})
