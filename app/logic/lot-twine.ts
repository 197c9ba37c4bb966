import { cureDay } from '#core/curing/cure-day'
import { lotKnots, type LotKnots } from '#core/turning/lot-knots'
import type { PieceFace } from '#core/life/kinds/turn'
import { groupsOf } from '#core/plan/due'
import { dueLot } from '#core/today/lot-tasks'
import type { Plan } from '#core/plan/plan'
import type { Milliseconds } from '#core/units/quantities'
import type { LotSummary } from '#shared/contracts/lots'

/** What a twine is tied from: the knots of pieces that follow one plan. */
export interface LotTwine extends LotKnots {
  plan: Plan
  /** Ids; all of the lot where there is one twine. */
  pieces: readonly number[]
  day: number
  readyFromDay: number
  bestByDay: number
  /** The face that lay up at the rub; null: nobody cares. */
  firstFace: PieceFace | null
  stacked: boolean
  ended: boolean
}
type Lot = Omit<LotSummary, 'judgement'>

/** The day a lot's cure counts, to its end or to now while it lasts. */
export const lotDay = (lot: Pick<Lot, 'rubbedOn' | 'zone' | 'cureEndedAtMs'>, nowMs: Milliseconds): number =>
  cureDay(lot.rubbedOn, lot.cureEndedAtMs ?? nowMs, lot.zone)

/** A lot's twines at an instant, one for each plan that some of its pieces follow: the lot's own first. */
export function lotTwines(lot: Lot, nowMs: Milliseconds): LotTwine[] {
  return groupsOf(dueLot(lot)).map(({ plan, ids }): LotTwine => {
    const pieces = lot.pieces.filter(piece => ids.includes(piece.id))
    const out = pieces.flatMap(piece => piece.outAtMs ?? [])
    const cureEndedAtMs = out.length === pieces.length ? Math.max(...out) : null
    const { fromDay, toDay } = plan.end
    const knots = lotKnots({ ...lot, pieces, cureEndedAtMs, rhythm: plan.cure.rhythm, bestByDay: toDay }, nowMs)
    return {
      ...knots,
      plan,
      pieces: ids,
      day: lotDay({ ...lot, cureEndedAtMs }, nowMs),
      readyFromDay: fromDay,
      bestByDay: toDay,
      firstFace: plan.cure.firstFace,
      stacked: plan.cure.stacked,
      ended: cureEndedAtMs !== null,
    }
  })
}

/** Pieces for which a turn is asked now, by any of their plans; ids. */
export const toTurn = (twines: readonly LotTwine[]): number[] => twines.flatMap(twine => twine.open?.missing ?? [])
/** True when all pieces of the twines that ask for a turn wait: one tap turns them, whatever the others do. */
export const turnsAsOne = (twines: readonly LotTwine[]): boolean => {
  const open = twines.filter(twine => twine.open !== null)
  return open.length > 0 && open.every(({ open: knot, pieces }) => knot!.missing.length === pieces.length)
}
