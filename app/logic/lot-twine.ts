import type { Milliseconds } from '#core/units/quantities'
import { cureDay } from '#core/curing/cure-day'
import { openKnot, twine, type Knot } from '#core/curing/twine'
import type { LotSummary } from '#shared/contracts/lots'

export interface LotTwine {
  knots: Knot[]
  day: number
  open: Knot | null
}

/** A lot's twine at an instant. Days are counted to the end of the cure, or to now while it lasts. */
export function lotTwine(lot: LotSummary, nowMs: Milliseconds): LotTwine {
  const day = cureDay(lot.rubbedOn, lot.cureEndedAtMs ?? nowMs, lot.zone)
  const knots = twine({
    rubbedOn: lot.rubbedOn,
    zone: lot.zone,
    turnEveryDays: lot.turnEveryDays,
    turnBy: lot.turnBy,
    lastDay: Math.max(lot.bestByDay, day),
    turnsMs: lot.turns.map(turn => turn.atMs),
    nowMs,
    endedMs: lot.cureEndedAtMs,
  })
  return { knots, day, open: lot.cureEndedAtMs === null ? openKnot(knots) : null }
}
