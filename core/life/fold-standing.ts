import { foldLife, type Folded, type LotLife } from './fold'
import type { Step } from './step'

/**
 * Folds steps that stand already. Should two of them contradict each other all the same (rows from before there were
 * steps, a clock that was set back), the later is left out, and named: the lot goes on. `sound` are those that count.
 */
export function foldStanding(steps: readonly Step[]): { life: LotLife; leftOut: Step[]; sound: Step[] } {
  const leftOut: Step[] = []
  let kept = [...steps]
  for (let folded: Folded = foldLife(kept); ; folded = foldLife(kept)) {
    if (folded.ok) return { life: folded.life, leftOut, sound: kept }
    const { second } = folded.contradiction
    leftOut.push(second)
    kept = kept.filter(step => step.id !== second.id)
  }
}

/** True when steps contradict each other nowhere. */
export const isSound = (steps: readonly Step[]): boolean => foldLife(steps).ok
