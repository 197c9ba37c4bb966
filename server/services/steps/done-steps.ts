import { isThat, kindsThat, planSays, type FiguresOfStep, type StepKind } from '#core/life/kinds/all-kinds'
import type { DoneStep } from '#core/plan/progress'
import type { Milliseconds } from '#core/units/quantities'

/** Kinds of step that the rooms are told of: what a plan asks for, and turns. */
export const SHOWN_KINDS: StepKind[] = ['turn', ...kindsThat('asked')]

interface StepRow {
  kind: StepKind
  fromAtMs: Milliseconds
  toAtMs: Milliseconds | null
  pieces: readonly number[]
  figures: FiguresOfStep[StepKind]
}

/** Steps of a lot as its plan asks of them, in order of happening. `count`: of the lot's pieces. */
export const doneSteps = (rows: readonly StepRow[], count: number): DoneStep[] =>
  rows
    .filter(row => isThat(row.kind, 'asked'))
    .map(({ kind, fromAtMs: fromMs, toAtMs: toMs, pieces, figures }) => ({
      kind,
      fromMs,
      toMs,
      pieces: pieces.length === count ? null : [...pieces],
      ...planSays(kind, figures),
    }))
