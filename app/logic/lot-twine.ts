import { cureDay } from '#core/curing/cure-day'
import { lotKnots, type LotKnots } from '#core/life/lot-knots'
import type { Milliseconds } from '#core/units/quantities'
import type { LotSummary } from '#shared/contracts/lots'

export interface LotTwine extends LotKnots {
  day: number
}

/** A lot's twine at an instant. Days are counted to the end of the cure, or to now while it lasts. */
export const lotTwine = (lot: Omit<LotSummary, 'judgement'>, nowMs: Milliseconds): LotTwine => ({
  ...lotKnots({ ...lot, rhythm: lot.plan.plan.cure.rhythm }, nowMs),
  day: cureDay(lot.rubbedOn, lot.cureEndedAtMs ?? nowMs, lot.zone),
})
