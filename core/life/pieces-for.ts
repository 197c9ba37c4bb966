import type { Milliseconds } from '../units/quantities'
import type { LotLife, Stay } from './fold'
import { MEANING } from './meaning'
import type { StepKind } from './step'

/** Where a piece was, and in which stage, at an instant; null before its rub. */
export const stayAt = (stays: readonly Stay[], atMs: Milliseconds): Stay | null =>
  stays.findLast(stay => stay.fromMs <= atMs) ?? null

/**
 * The pieces that "all of the lot" means for a kind of step at an instant: those for which it makes sense then. Where it
 * makes sense for none, all of them: what stands in the way can then be said.
 */
export function piecesFor({ pieces }: LotLife, kind: StepKind, atMs: Milliseconds): number[] {
  const can = pieces.filter(({ stays }) => {
    const stay = stayAt(stays, atMs)
    return stay !== null && MEANING[kind].stages.includes(stay.stage)
  })
  return (can.length > 0 ? can : pieces).map(piece => piece.pieceId)
}
