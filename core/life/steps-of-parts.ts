import type { Step } from './step'

/**
 * Steps as if they had been told of the parts that pieces were cut into later, for figures that add up what was done to
 * each. `expand` gives the parts of ids, or themselves. The cuts are left out; inputs stay untouched.
 */
export function stepsOfParts(steps: readonly Step[], expand: (ids: readonly number[]) => number[]): Step[] {
  return steps.flatMap((step): Step[] => {
    if (step.kind === 'cut') return []
    const pieces = expand(step.pieces)
    if (step.kind !== 'rub') return [{ ...step, pieces }]
    const spots = Object.entries(step.figures.spots).flatMap(([id, spot]) => expand([Number(id)]).map(one => [one, spot]))
    return [{ ...step, pieces, figures: { ...step.figures, spots: Object.fromEntries(spots) as Record<number, string> } }]
  })
}
