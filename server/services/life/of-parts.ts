import type { PieceTree } from '#core/life/parts'
import type { StepKind } from '#core/life/step'

/**
 * Steps as told of pieces as they are now: what was done to one that was cut up was done to its parts. What one weighed
 * before says nothing of a part.
 */
export function ofParts<S extends { kind: StepKind; pieces: readonly number[] }>(
  steps: readonly S[],
  tree: PieceTree,
): (S & { pieces: number[] })[] {
  const leaves = new Set(tree.leaves)
  return steps
    .filter(step => step.kind !== 'weigh' || step.pieces.every(id => leaves.has(id)))
    .map(step => ({ ...step, pieces: tree.asLeaves(step.pieces) }))
}
