import { addDays, instantOf } from '../calendar/local-day'
import { cureDay } from '../curing/cure-day'
import { knotsOf } from '../turning/knots'
import { segmentOn, slotsOf, type RhythmSegment } from '../turning/rhythm'
import { SLOWEST_RHYTHM_DAYS } from '../rules/house'
import type { Milliseconds } from '../units/quantities'
import { addWithTurn } from './adds-due'
import { coming, type Coming } from './coming-thing'
import { isOf, type DueLot, type Group } from './due-lot'
import { endDays } from './end-days'
import { pourRhythm, type Plan, type PlannedAdd } from './plan'

/** Where a cure day's work should be done. */
const byHour = ({ rubbedOn, turnBy, zone }: DueLot, day: number): Milliseconds =>
  instantOf(addDays(rubbedOn, day), turnBy, zone)

/** What is coming of pieces that cure by one plan. `pieces` null stands for all of these. */
export function cureComing(lot: DueLot, group: Group, nowMs: Milliseconds): Coming[] {
  const { cure, end } = group.plan
  const today = cureDay(lot.rubbedOn, nowMs, lot.zone)
  const since = (kind: 'look' | 'add', day: number) => {
    const fromMs = instantOf(addDays(lot.rubbedOn, day), '00:00', lot.zone)
    return lot.did.some(step => step.kind === kind && step.fromMs >= fromMs && group.ids.some(id => isOf(step, id)))
  }
  const onDays = (kind: 'look' | 'add', all: readonly { day: number; add?: PlannedAdd }[]): Coming[] => {
    // The last of the days gone by is the only one still asked for.
    const fromDay = Math.max(...all.map(one => one.day).filter(day => day <= today))
    return all
      .filter(({ day }) => day >= fromDay && !since(kind, day))
      .map(({ day, add }) =>
        coming(kind, { why: 'planned_day', day }, byHour(lot, day), { key: `${kind}-${day}`, ...(add && { add }) }),
      )
  }
  const drained = lot.did.filter(step => step.kind === 'drain').map(step => ({ atMs: step.fromMs, pieces: step.pieces }))
  const { fromDay, toDay } = endDays(lot, end)
  const outDay = end.by === 'hard' ? toDay : Math.max(fromDay, today)
  return [
    ...slotsComing(lot, group, { kind: 'turn', segments: cure.rhythm, done: lot.turns }, nowMs),
    ...slotsComing(lot, group, { kind: 'drain', segments: pourRhythm(cure), done: drained }, nowMs),
    ...onDays('look', cure.looks.map(day => ({ day }))),
    ...feltOn(lot, group.plan, today),
    ...onDays('add', cure.adds.flatMap(add => (add.when.on === 'day' ? { day: add.when.day, add } : []))),
    end.by === 'hard'
      ? coming('out', { why: 'hard_end', toDay }, byHour(lot, outDay))
      // A measured cure is never late.
      : coming('out', { why: 'cure_day', day: outDay, fromDay, toDay }, byHour(lot, outDay), { byMs: null }),
  ]
}

/**
 * The looks of a cure that ends by feel: one on every day on which it may be over; today's is asked for by what was
 * felt.
 */
function feltOn(lot: DueLot, { cure, end }: Plan, today: number): Coming[] {
  const fromDay = Math.max(today + 1, end.fromDay)
  if (end.by !== 'feel' || fromDay > end.toDay) return []
  return Array.from({ length: end.toDay - fromDay + 1 }, (_, i) => fromDay + i)
    .filter(day => !cure.looks.includes(day))
    .map(day => coming('look', { why: 'by_feel', day }, byHour(lot, day), { key: `feel-${day}`, byMs: null }))
}

/** Slots of a rhythm that are not over and not tied, to the plan's last day. */
function slotsComing(
  lot: DueLot,
  { plan, ids }: Group,
  of: { kind: 'turn' | 'drain'; segments: readonly RhythmSegment[]; done: DueLot['turns'] },
  nowMs: Milliseconds,
): Coming[] {
  const all = lot.pieces.map(piece => piece.id)
  const today = cureDay(lot.rubbedOn, nowMs, lot.zone)
  // Left lying longer, it is turned on.
  const lastDay = today < plan.end.toDay ? plan.end.toDay : today + SLOWEST_RHYTHM_DAYS
  const slots = slotsOf({ ...lot, segments: of.segments, lastDay }).filter(slot => slot.untilMs > nowMs)
  const withAdd = (dueMs: Milliseconds) => {
    const add = of.kind === 'turn' ? addWithTurn({ plan }, cureDay(lot.rubbedOn, dueMs, lot.zone)) : null
    return add ? { add } : {}
  }
  return knotsOf({
    slots,
    turns: of.done.map(({ atMs, pieces }) => ({ atMs, pieces: pieces ?? all })),
    pieces: ids.map(pieceId => ({ pieceId, fromMs: lot.rubbedAtMs, toMs: null })),
    nowMs,
  }).flatMap(knot =>
    knot.missing.length > 0
      ? [
          coming(of.kind, { why: 'rhythm', rhythm: segmentOn(of.segments, knot.day)! }, knot.dueMs, {
            key: `${of.kind}-${knot.fromMs}`,
            pieces: knot.state === 'half' ? knot.missing : null,
            ...withAdd(knot.dueMs),
          }),
        ]
      : [],
  )
}
