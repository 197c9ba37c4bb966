import type { Milliseconds } from '../units/quantities'
import type { FiguresOfStep, StepKind } from './kinds/all-kinds'

/** A step as it stands in the tables. `toMs` null: still going; equal to `fromMs`: an instant. */
export type StepOf<K extends StepKind> = {
  [Kind in K]: {
    id: number
    kind: Kind
    /** Ids of the pieces it was done to. */
    pieces: readonly number[]
    /** Where it was done; a place on any step is a move to it. */
    placeId: number | null
    fromMs: Milliseconds
    toMs: Milliseconds | null
    figures: FiguresOfStep[Kind]
  }
}[K]
export type Step = StepOf<StepKind>

/** Steps in order of happening; what happened at one instant in the order in which it was told. */
export const byHappening = (a: Pick<Step, 'fromMs' | 'id'>, b: Pick<Step, 'fromMs' | 'id'>): number =>
  a.fromMs - b.fromMs || a.id - b.id
