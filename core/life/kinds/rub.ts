import type { PieceFace } from './turn'
import { stepKind } from './kind'

/** Rubbed: the first step of a piece, when it goes into its cure. */
export const rub = stepKind({
  /**
   * Where each piece lies in its place: "bag 2", "tub A"; pieces not named lie loose. `stacked`: one on the other, the
   * first at the bottom.
   */
  figures: { spots: {}, face: 'flesh' } as { spots: Readonly<Record<number, string>>; face: PieceFace | null; stacked?: boolean },
  stages: [],
  becomes: 'cure',
  traits: ['withOthers'],
})
