import type { PressInput } from '#shared/steps/press'
import type { StepInput } from '#shared/steps/all-told'

/** A step of a press as it is laid down, which of the press it is, and the pieces it was done to. */
export interface Deed {
  n: number
  step: StepInput
  pieces: number[]
}
/** Steps as they are laid down: of what was weighed by groups one for each. */
export const deedsOf = ({ steps }: PressInput, ids: number[], then: (some: number[]) => number[]): Deed[] =>
  steps.flatMap((step, n): Deed[] =>
    step.kind === 'weigh' && step.groups.length > 0
      ? step.groups.map(({ pieces, weight }) => ({ n, step: { ...step, weight, groups: [] }, pieces: then(pieces) }))
      : [{ n, step, pieces: ids }],
  )
