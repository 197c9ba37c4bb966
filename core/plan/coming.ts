import { addDays, instantOf } from '../calendar/local-day'
import { cureDay } from '../curing/cure-day'
import { MS_PER_DAY, type Milliseconds } from '../units/quantities'
import type { Coming } from './coming-thing'
import { cureComing } from './cure-coming'
import { dueOf, groupsOf } from './due'
import type { DueLot } from './due-lot'
import { DUE_IN_CURE, type Due, type DueWhy } from './due-thing'

/**
 * What a lot's plans have coming from an instant on over so many days, in order of time: turns, pourings, looks and
 * what goes on, slot by slot, to the last day of the plan; the end of the cure; and of pieces that are out what comes
 * next. What is done already is left out.
 */
export function comingOf(lot: DueLot, nowMs: Milliseconds, days: number): Coming[] {
  const untilMs = nowMs + days * MS_PER_DAY
  const named = (some: readonly number[]) => (some.length === lot.pieces.length ? null : some)
  const curing = groupsOf(lot).flatMap(({ plan, ids }, g) => {
    const inCure = ids.filter(id => lot.pieces.find(piece => piece.id === id)!.outAtMs === null)
    return inCure.length > 0
      ? cureComing(lot, { plan, ids: inCure }, nowMs).map(one => ({
          ...one,
          key: `${g}-${one.key}`,
          pieces: named(one.pieces ?? inCure),
        }))
      : []
  })
  const now = dueOf(lot, nowMs)
    .filter(({ kind, because }) => !DUE_IN_CURE.has(kind) || BY_WHAT_IS_DONE.has(because.why))
    .map(due => nextComing(lot, due, nowMs))
  return [...curing, ...now].filter(one => one.atMs <= untilMs).toSorted((a, b) => a.atMs - b.atMs)
}

/** Reasons that are no day of the plan: what was done or felt asks for it. */
const BY_WHAT_IS_DONE: ReadonlySet<DueWhy['why']> = new Set<DueWhy['why']>(['drained', 'turned', 'by_feel'])

/** The next due thing of a plan, found by the place of its item: a plan may hold two of a kind. */
function nextComing(lot: DueLot, { kind, item, notBeforeMs, byMs, pieces, because }: Due, nowMs: Milliseconds): Coming {
  const plans = [lot.plan, ...lot.piecePlans.map(own => own.plan)]
  const at = item ? Math.max(-1, ...plans.map(plan => plan.then.indexOf(item))) : -1
  const today = instantOf(addDays(lot.rubbedOn, cureDay(lot.rubbedOn, nowMs, lot.zone)), lot.turnBy, lot.zone)
  return {
    kind,
    key: `${pieces?.join('.') ?? 'all'}-${kind}${at < 0 ? '' : `-${at}`}`,
    atMs: notBeforeMs ?? byMs ?? today,
    notBeforeMs,
    byMs,
    because,
    pieces,
    ...(item && { item }),
  }
}
