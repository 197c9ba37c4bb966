import { daysBetween, localDay, type IsoDate } from '../calendar/local-day'
import type { Milliseconds } from '../units/quantities'
import { knotsOf, openLifeKnot, type InCure, type LifeKnot } from './knots'
import { slotsOf, type RhythmSegment } from './rhythm'

/** What a lot's twine is worked out from. */
export interface TurningLot {
  rubbedOn: IsoDate
  rubbedAtMs: Milliseconds
  zone: string
  rhythm: readonly RhythmSegment[]
  /** The hour by which a day's turn should be done, "18:00". */
  turnBy: string
  bestByDay: number
  cureEndedAtMs: Milliseconds | null
  /** `pieces`: ids; null: all of the lot. */
  turns: readonly { atMs: Milliseconds; pieces: readonly number[] | null }[]
  pieces: readonly { id: number; outAtMs: Milliseconds | null }[]
}

export interface LotKnots {
  /** Knots in order; `day` is the cure day on which each is due. */
  knots: LifeKnot[]
  /** The knot to tie now. */
  open: LifeKnot | null
}

/** The twine of a lot at an instant, from its rub to its best-by day, or to today if that is later. */
export function lotKnots(lot: TurningLot, nowMs: Milliseconds): LotKnots {
  const cureDayOf = (ms: Milliseconds) => daysBetween(lot.rubbedOn, localDay(ms, lot.zone))
  const all = lot.pieces.map(piece => piece.id)
  const slots = slotsOf({
    rubbedAtMs: lot.rubbedAtMs,
    zone: lot.zone,
    segments: lot.rhythm,
    turnBy: lot.turnBy,
    // A turning day begins at four: one more than the calendar has.
    lastDay: Math.max(lot.bestByDay, cureDayOf(lot.cureEndedAtMs ?? nowMs)) + 1,
  })
  const pieces: InCure[] = lot.pieces.map(({ id, outAtMs }) => ({
    pieceId: id,
    fromMs: lot.rubbedAtMs,
    toMs: outAtMs ?? lot.cureEndedAtMs,
  }))
  const turns = lot.turns.map(({ atMs, pieces: some }) => ({ atMs, pieces: some ?? all }))
  const lastDay = Math.max(lot.bestByDay, cureDayOf(lot.cureEndedAtMs ?? nowMs))
  const knots = knotsOf({ slots, turns, pieces, nowMs })
    .map(knot => ({ ...knot, day: cureDayOf(knot.dueMs) }))
    .filter(knot => knot.day <= lastDay)
  return { knots, open: lot.cureEndedAtMs === null ? openLifeKnot(knots, nowMs) : null }
}
