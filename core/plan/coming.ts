import { addDays, instantOf } from '../calendar/local-day'
import { cureDay } from '../curing/cure-day'
import { knotsOf } from '../life/knots'
import { slotsOf, type RhythmSegment } from '../life/rhythm'
import { SLOWEST_RHYTHM_DAYS } from '../rules/house'
import { MS_PER_DAY, type Milliseconds } from '../units/quantities'
import { dueOf, groupsOf } from './due'
import { isOf, type DueLot, type Group } from './due-lot'
import { DUE_IN_CURE, type Due, type DueKind } from './due-thing'
import type { PlanItem } from './plan'

/** Something a plan has coming, by when it should be done. */
export interface Coming {
  kind: DueKind
  /** Names it within its lot, the same each time it is asked for. */
  key: string
  atMs: Milliseconds
  /** Ids; null: all of the lot. */
  pieces: readonly number[] | null
  item?: PlanItem
}

/**
 * What a lot's plans have coming from an instant on over so many days, in order of time: turns, pourings, looks and what
 * goes on, slot by slot, to the last day of the plan; the end of the cure; and of pieces that are out what comes next.
 * What is done already is left out.
 */
export function comingOf(lot: DueLot, nowMs: Milliseconds, days: number): Coming[] {
  const untilMs = nowMs + days * MS_PER_DAY
  const named = (some: readonly number[]) => (some.length === lot.pieces.length ? null : some)
  const curing = groupsOf(lot).flatMap(({ plan, ids }, g) => {
    const inCure = ids.filter(id => lot.pieces.find(piece => piece.id === id)!.outAtMs === null)
    return inCure.length > 0
      ? cureComing(lot, { plan, ids: inCure }, nowMs).map(one => ({ ...one, key: `${g}-${one.key}`, pieces: named(one.pieces ?? inCure) }))
      : []
  })
  const out = dueOf(lot, nowMs)
    .filter(due => !DUE_IN_CURE.has(due.kind))
    .map(due => afterComing(lot, due, nowMs))
  return [...curing, ...out].filter(one => one.atMs <= untilMs).toSorted((a, b) => a.atMs - b.atMs)
}

/** Where a cure day's work should be done. */
const byHour = ({ rubbedOn, turnBy, zone }: DueLot, day: number): Milliseconds => instantOf(addDays(rubbedOn, day), turnBy, zone)

function cureComing(lot: DueLot, group: Group, nowMs: Milliseconds): Coming[] {
  const { cure, end } = group.plan
  const today = cureDay(lot.rubbedOn, nowMs, lot.zone)
  const since = (kind: 'look' | 'add', day: number) => {
    const fromMs = instantOf(addDays(lot.rubbedOn, day), '00:00', lot.zone)
    return lot.did.some(step => step.kind === kind && step.fromMs >= fromMs && group.ids.some(id => isOf(step, id)))
  }
  const onDays = (kind: 'look' | 'add', all: readonly number[]): Coming[] =>
    all
      .filter(day => day >= today && !since(kind, day))
      .map(day => ({ kind, key: `${kind}-${day}`, atMs: byHour(lot, day), pieces: null }))
  const drained = lot.did.filter(step => step.kind === 'drain').map(step => ({ atMs: step.fromMs, pieces: step.pieces }))
  const pour: RhythmSegment[] | null
    = cure.pourOffEveryDays === null ? null : [{ fromDay: 0, everyDays: cure.pourOffEveryDays, how: 'turned' }]
  const outDay = end.by === 'hard' ? end.toDay : Math.max(end.fromDay, today)
  return [
    ...slotsComing(lot, group, { kind: 'turn', segments: cure.rhythm, done: lot.turns }, nowMs),
    ...(pour ? slotsComing(lot, group, { kind: 'drain', segments: pour, done: drained }, nowMs) : []),
    ...onDays('look', cure.looks),
    ...onDays('add', cure.adds.flatMap(({ when }) => (when.on === 'day' ? when.day : []))),
    { kind: 'out', key: 'out', atMs: byHour(lot, outDay), pieces: null },
  ]
}

/** Slots of a rhythm that are not over and not tied, to the plan's last day. */
function slotsComing(
  lot: DueLot,
  { plan, ids }: Group,
  of: { kind: 'turn' | 'drain'; segments: readonly RhythmSegment[]; done: readonly { atMs: Milliseconds; pieces: readonly number[] | null }[] },
  nowMs: Milliseconds,
): Coming[] {
  const all = lot.pieces.map(piece => piece.id)
  const today = cureDay(lot.rubbedOn, nowMs, lot.zone)
  // Left lying longer, it is turned on.
  const lastDay = today < plan.end.toDay ? plan.end.toDay : today + SLOWEST_RHYTHM_DAYS
  const slots = slotsOf({ ...lot, segments: of.segments, lastDay }).filter(slot => slot.untilMs > nowMs)
  return knotsOf({
    slots,
    turns: of.done.map(({ atMs, pieces }) => ({ atMs, pieces: pieces ?? all })),
    pieces: ids.map(pieceId => ({ pieceId, fromMs: lot.rubbedAtMs, toMs: null })),
    nowMs,
  }).flatMap(knot =>
    knot.missing.length > 0
      ? [{ kind: of.kind, key: `${of.kind}-${knot.fromMs}`, atMs: knot.dueMs, pieces: knot.state === 'half' ? knot.missing : null }]
      : [],
  )
}

/** By the place of its item in the plan: a plan may hold two of a kind. */
function afterComing(lot: DueLot, { kind, item, notBeforeMs, byMs, pieces }: Due, nowMs: Milliseconds): Coming {
  const plans = [lot.plan, ...lot.piecePlans.map(own => own.plan)]
  const at = item ? Math.max(-1, ...plans.map(plan => plan.then.indexOf(item))) : -1
  const today = instantOf(addDays(lot.rubbedOn, cureDay(lot.rubbedOn, nowMs, lot.zone)), lot.turnBy, lot.zone)
  return {
    kind,
    key: `${pieces?.join('.') ?? 'all'}-${kind}${at < 0 ? '' : `-${at}`}`,
    atMs: notBeforeMs ?? byMs ?? today,
    pieces,
    ...(item && { item }),
  }
}
