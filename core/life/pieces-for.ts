import type { Milliseconds } from '../units/quantities'
import type { LotLife, PieceLife, Stay } from './fold'
import { KINDS } from './kinds/all-kinds'
import type { Stage } from './kinds/stage'
import type { StepKind } from './kinds/all-kinds'

/** Where a piece was, and in which stage, at an instant; null before its rub. */
export const stayAt = (stays: readonly Stay[], atMs: Milliseconds): Stay | null =>
  stays.findLast(stay => stay.fromMs <= atMs) ?? null

/**
 * True when it was a piece at an instant: cut from another by then, and not yet cut up, sliced to the end or taken
 * away.
 */
export const isThere = ({ bornAtMs, goneAtMs }: Pick<PieceLife, 'bornAtMs' | 'goneAtMs'>, atMs: Milliseconds): boolean =>
  bornAtMs <= atMs && (goneAtMs === null || goneAtMs > atMs)

/** Pieces as they were at an instant: what was cut from another only later stands for that. In the order given. */
export function piecesThen({ pieces }: LotLife, ids: readonly number[], atMs: Milliseconds): number[] {
  const lives = new Map(pieces.map(life => [life.pieceId, life]))
  const then = (id: number): number => {
    const life = lives.get(id)
    return life && life.parentId !== null && life.bornAtMs > atMs ? then(life.parentId) : id
  }
  return [...new Set(ids.map(then))]
}

/**
 * The pieces that "all of the lot" means for a kind of step at an instant: those for which it makes sense then. Where
 * it makes sense for none, all of them: what stands in the way can then be said.
 */
export function piecesFor({ pieces: all }: LotLife, kind: StepKind, atMs: Milliseconds): number[] {
  const there = all.filter(piece => isThere(piece, atMs))
  const pieces = there.length > 0 ? there : all.filter(piece => piece.parentId === null)
  const { stages, rather } = KINDS[kind]
  const stands = (at: readonly Stage[]) =>
    pieces.filter(({ stays }) => at.includes(stayAt(stays, atMs)?.stage as Stage))
  const meant = [stands(rather ? [rather] : []), stands(stages)].find(some => some.length > 0)
  return (meant ?? pieces).map(piece => piece.pieceId)
}
