import { sumOf } from '#core/lists/sum-of'
import type { PieceTree } from '#core/life/parts'
import type { FiguresOfStep, StepKind } from '#core/life/kinds/all-kinds'
import type { Fraction, Grams } from '#core/units/quantities'

interface Told {
  kind: StepKind
  pieces: readonly number[]
  figures: unknown
}
type Meat = Extract<FiguresOfStep['weigh'], { what: 'meat' }>

/** Green weights by piece. */
export const greensOf = (pieces: readonly { id: number; greenG: Grams }[]): Map<number, Grams> =>
  new Map(pieces.map(piece => [piece.id, piece.greenG]))

/** What pieces weighed before the rub, together; null while that of one is not known. */
function greenOf(ids: readonly number[], greens: ReadonlyMap<number, Grams>): Grams | null {
  const each = ids.map(id => greens.get(id))
  return each.includes(undefined) ? null : sumOf((each as Grams[]), greenG => greenG)
}

/**
 * Steps as told of pieces as they are now: what was done to one that was cut up was done to its parts. What one weighed
 * before is shared by green weight, as what comes off at a cut is: a part had lost the share that the whole had. What a
 * part weighed at its cut was a weighing of it. `greens`: of all pieces, by id.
 */
export function ofParts<S extends Told>(
  steps: readonly S[],
  tree: PieceTree,
  greens: ReadonlyMap<number, Grams>,
): (S & { pieces: number[] })[] {
  const weighed = (step: S, ids: readonly number[], { netG, offG }: Pick<Meat, 'netG' | 'offG'>) => {
    const pieces = tree.asLeaves(ids)
    const [wholeG, partsG] = [greenOf(ids, greens), greenOf(pieces, greens)]
    if (wholeG === null || partsG === null || wholeG <= 0) return []
    const share: Fraction = partsG / wholeG
    const figures: Meat = { what: 'meat', netG: netG * share, offG: offG * share, saltLies: false }
    return [{ ...step, kind: 'weigh', pieces, figures }]
  }
  const isWhole = (ids: readonly number[]) => tree.asLeaves(ids).every(id => ids.includes(id))
  return steps.flatMap((step): (S & { pieces: number[] })[] => {
    const said = { ...step, pieces: tree.asLeaves(step.pieces) }
    if (step.kind === 'cut') {
      const { parts } = step.figures as FiguresOfStep['cut']
      return [said, ...parts.flatMap(({ pieceId, netG }) => weighed(step, [pieceId], { netG, offG: 0 }))]
    }
    if (step.kind !== 'weigh' || isWhole(step.pieces)) return [said]
    const figures = step.figures as FiguresOfStep['weigh']
    return figures.what === 'meat' ? weighed(step, step.pieces, figures) : [said]
  })
}
