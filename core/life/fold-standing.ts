import { foldLife, type Contradiction, type Folded, type LotLife } from './fold'
import type { Step } from './step'

/** Steps as they stand, contradictions and all. */
export interface Standings {
  life: LotLife
  /** The later of each two that contradict each other: it does not count. */
  leftOut: Step[]
  /** Steps that count. */
  sound: Step[]
  /** Contradictions, each with the step that it leaves out as its `second`. */
  contradictions: Contradiction[]
}

/**
 * Folds steps that stand already. Should two of them contradict each other all the same (rows from before there were
 * steps, a clock that was set back, two tablets at one moment), the later is left out, and named: the lot goes on.
 */
export function foldStanding(steps: readonly Step[]): Standings {
  const contradictions: Contradiction[] = []
  let kept = [...steps]
  for (let folded: Folded = foldLife(kept); ; folded = foldLife(kept)) {
    if (folded.ok)
      return { life: folded.life, leftOut: contradictions.map(one => one.second), sound: kept, contradictions }
    const { second } = folded.contradiction
    contradictions.push(folded.contradiction)
    kept = kept.filter(step => step.id !== second.id)
  }
}

/** True when steps contradict each other nowhere. */
export const isSound = (steps: readonly Step[]): boolean => foldLife(steps).ok

/**
 * The first contradiction that stands after a change of a lot's steps and did not before it: what was left out before
 * may go on being left out, and nothing else may. Null when the change makes none. A lot of `rub`, `taken` at noon and
 * `moved` at one has one contradiction, the move: a look at two is refused ("taken"), one at eleven is not.
 */
export function newContradiction(before: readonly Step[], after: readonly Step[]): Contradiction | null {
  if (isSound(after)) return null
  const known = new Set(foldStanding(before).leftOut.map(step => step.id))
  return foldStanding(after).contradictions.find(({ second }) => !known.has(second.id)) ?? null
}
