import { sumOf } from '../lists/sum-of'
import type { Grams, Milliseconds } from '../units/quantities'
import type { GoneWhy } from './gone'
import type { Stage } from './kinds/stage'
import type { Step, StepOf } from './step'

interface Divisible {
  pieceId: number
  parentId: number | null
  bornAtMs: Milliseconds
  placeId: number | null
  spot: string | null
  stage: Stage
  stays: { placeId: number | null; stage: Stage; fromMs: Milliseconds; toMs: Milliseconds | null }[]
  layer: number | null
  stackTurns: number | null
  goneAtMs: Milliseconds | null
  goneWhy: GoneWhy | null
  by: Step
}

/** Ends a life: it is a piece no more, and lies nowhere. Changes `life`. */
export function leave(life: Divisible, step: Step, why: GoneWhy): void {
  const last = life.stays.at(-1)
  if (last) last.toMs = step.fromMs
  Object.assign(life, { goneAtMs: step.fromMs, goneWhy: why, placeId: null, spot: null, layer: null, stackTurns: null, by: step })
}

/**
 * A piece is cut up: it ends, and its parts begin where it lay, as it lay, with all that it went through behind them.
 * Changes `life`.
 */
export function divide<L extends Divisible>(life: L, step: StepOf<'cut'>): L[] {
  const { parts } = step.figures
  const born = parts.map(({ pieceId }, i): L => ({
    ...life,
    pieceId,
    parentId: life.pieceId,
    bornAtMs: step.fromMs,
    stays: life.stays.map(stay => ({ ...stay })),
    // One piece hangs on a hook.
    spot: life.stage === 'hang' && parts.length > 1 ? null : life.spot,
    // Parts lie one on the other in its layer; the stack counts them anew.
    layer: life.layer === null ? null : life.layer + i / parts.length,
  }))
  leave(life, step, 'cut')
  return born
}

/**
 * Green weight of what a piece was cut into, grams: its own, shared by the weights at the cut, so that parts and
 * offcuts come to it again whatever it lost or took up since. Example: 2,000 g green, cut into 900 and 900 g with 100 g
 * off: 947, 947 and 105 g. Weights more than 0.
 */
export function greenShares(greenG: Grams, partsG: readonly Grams[], offcutsG: readonly Grams[]): Grams[] {
  const allG = sumOf([...partsG, ...offcutsG], massG => massG)
  return partsG.map(massG => (greenG * massG) / allG)
}
