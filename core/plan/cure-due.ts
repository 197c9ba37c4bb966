import { addDays, instantOf } from '../calendar/local-day'
import { cureDay } from '../curing/cure-day'
import { knotsOf, openLifeKnot, type InCure, type LifeKnot, type Turned } from '../turning/knots'
import { segmentOn, slotsOf, type RhythmSegment } from '../turning/rhythm'
import { SLOWEST_RHYTHM_DAYS } from '../rules/house'
import type { Milliseconds } from '../units/quantities'
import { addsDue, addWithTurn } from './adds-due'
import { isOf, type DueLot, type Group } from './due-lot'
import { endDays } from './end-days'
import { due, type Due } from './due-thing'
import { pourRhythm, type Plan } from './plan'
import type { DoneStep } from './progress'

/** What is due of pieces that cure by one plan. `pieces` null stands for all of these. */
export function cureDue(lot: DueLot, { plan, ids }: Group, nowMs: Milliseconds): Due[] {
  const { cure } = plan
  const day = cureDay(lot.rubbedOn, nowMs, lot.zone)
  const looked = lot.did.filter(step => step.kind === 'look' && ids.some(id => isOf(step, id)))
  const knot = (segments: readonly RhythmSegment[], done: readonly Turned[]) =>
    openLifeKnot(
      knotsOf({
        // What is over is not due; the open one is over some days from now at the latest.
        slots: slotsOf({ ...lot, segments, lastDay: day + SLOWEST_RHYTHM_DAYS }).filter(
          slot => slot.untilMs > nowMs && slot.fromMs <= nowMs,
        ),
        turns: done,
        pieces: lot.pieces.filter(piece => ids.includes(piece.id)).map((piece): InCure => ({
          pieceId: piece.id,
          fromMs: lot.rubbedAtMs,
          toMs: piece.outAtMs,
        })),
        nowMs,
      }),
      nowMs,
    )
  const all = lot.pieces.map(piece => piece.id)
  const turn = knot(cure.rhythm, lot.turns.map(({ atMs, pieces }) => ({ atMs, pieces: pieces ?? all })))
  const drained = lot.did.filter(step => step.kind === 'drain').map(step => ({ atMs: step.fromMs, pieces: step.pieces ?? all }))
  const pour = knot(pourRhythm(cure), drained)
  const withTurn = addWithTurn({ plan }, day)
  const asked = (kind: 'turn' | 'drain', open: LifeKnot | null, segments: readonly RhythmSegment[]): Due[] =>
    open
      ? [
          due(kind, { why: 'rhythm', rhythm: segmentOn(segments, open.day)! }, {
            pieces: open.missing,
            byMs: open.dueMs,
            late: nowMs >= open.dueMs,
            ...(kind === 'turn' && withTurn && { add: withTurn }),
          }),
        ]
      : []
  return [
    ...asked('turn', turn, cure.rhythm),
    ...asked('drain', pour, pourRhythm(cure)),
    ...(turn && withTurn ? [] : addsDue(lot, { plan, ids }, { day, nowMs })),
    ...lookDue(lot, plan, looked, { day, nowMs }),
    ...endDue(lot, plan, day, nowMs),
  ]
}

/** Where a cure day begins. */
const startOf = ({ rubbedOn, zone }: DueLot, day: number): Milliseconds => instantOf(addDays(rubbedOn, day), '00:00', zone)

/** Planned looks, each until somebody looked; by feel every day from the first on which it may be over. */
function lookDue(lot: DueLot, { cure, end }: Plan, looked: readonly DoneStep[], at: { day: number; nowMs: Milliseconds }): Due[] {
  const since = (day: number) => looked.some(step => step.fromMs >= startOf(lot, day))
  const planned = cure.looks.filter(day => day <= at.day).toSorted((a, b) => b - a)[0]
  if (planned !== undefined && !since(planned)) {
    const byMs = instantOf(addDays(lot.rubbedOn, planned), lot.turnBy, lot.zone)
    return [due('look', { why: 'planned_day', day: planned }, { byMs, late: at.day > planned })]
  }
  if (end.by !== 'feel' || at.day < end.fromDay || since(at.day)) return []
  return [due('look', { why: 'by_feel', day: at.day })]
}

/** The end of the cure: a measured one is never late for lying longer, one that gets saltier is, and hard. */
function endDue(lot: DueLot, { end }: Plan, day: number, nowMs: Milliseconds): Due[] {
  if (end.by === 'hard') {
    const { fromDay, toDay } = endDays(lot, end)
    const byMs = instantOf(addDays(lot.rubbedOn, toDay), lot.turnBy, lot.zone)
    return day >= fromDay ? [due('out', { why: 'hard_end', toDay }, { byMs, late: nowMs >= byMs })] : []
  }
  if (end.by === 'feel') {
    if (lot.lastFeel?.feel === 'stiff') return [due('out', { why: 'felt', ...lot.lastFeel })]
    return day >= end.toDay ? [due('out', { why: 'cure_day', day, fromDay: end.fromDay, toDay: end.toDay })] : []
  }
  return day >= end.fromDay ? [due('out', { why: 'cure_day', day, fromDay: end.fromDay, toDay: end.toDay })] : []
}
