import type { Stage } from './stage'

/**
 * What the house asks of a kind of step beside its figures.
 * - `pressed`: a press tells it by itself, so that its hour can be set right; what stands with other rows is voided.
 * - `observed`: what was seen or tasted; another answer is another deed.
 * - `asked`: a plan asks for it, or goes by it.
 * - `movesRetained`: the least of what was put on that is in the meat changes with it.
 * - `putsOn`: lots of the store go on with it.
 * - `mayHold`: what it tells may hold the lot by itself.
 * - `movesPiece`: the piece lies elsewhere after it, or is one no more.
 * - `withOthers`: behind it stand rows of their own: a whole lot, a smoke, packs. A person voids their record, and sees
 *   what goes.
 */
export type Trait = 'pressed' | 'observed' | 'asked' | 'movesRetained' | 'putsOn' | 'mayHold' | 'movesPiece' | 'withOthers'

/** What a kind of step needs of a piece, and what it makes of it. */
export interface Meaning {
  /** Stages in which it can be done. */
  stages: readonly Stage[]
  /** Told of the whole lot it means the pieces of this stage, where there are some. */
  rather?: Stage
  /** The stage after it, where it changes it. */
  becomes?: Stage
  /** True when it goes on until its end is told, or the next thing begins. */
  lasts?: true
  /** The stage after its end, where that is another. */
  leaves?: Stage
}

/**
 * One kind of step, whole. `figures`: an example of what it says beside its pieces, its place and its time, with its
 * type. `says`: what of that its plan goes by.
 */
export interface KindOfStep<Figures, Says> extends Meaning {
  figures: Figures
  says?: (figures: Figures) => Says
  traits: readonly Trait[]
}

/**
 * A kind as a module: `stepKind({ figures: { percent: 75 } as { percent: number }, stages: ['hang'], traits:
 * ['pressed'] })`.
 */
export const stepKind = <Figures, Says = object>(kind: KindOfStep<Figures, Says>): KindOfStep<Figures, Says> => kind
