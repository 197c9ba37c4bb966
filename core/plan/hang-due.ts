import { pieceLosses } from '../drying/loss'
import { WEIGH_EVERY_MS, WEIGH_LATE_MS } from '../rules/house'
import { MS_PER_DAY, type Fraction, type Grams, type Milliseconds } from '../units/quantities'
import { due, type Due } from './due-thing'
import type { PlanItem, PlanItemOf } from './plan'
import type { DoneStep } from './progress'

/** Pieces that hang together since an instant, and went through the same. */
export interface Hanging {
  item: PlanItemOf<'hang'>
  sinceMs: Milliseconds
  pieces: readonly number[]
  /** All of the lot. */
  lot: readonly { id: number; greenG: Grams }[]
  did: readonly DoneStep[]
}

/** Weighings among what was done. */
export const weighedOf = (did: readonly DoneStep[]) =>
  did.flatMap(({ kind, fromMs, pieces, netG }) => (kind === 'weigh' && netG !== undefined ? [{ atMs: fromMs, netG, pieces }] : []))

/** The least that any of some pieces had lost when it was weighed last, since it hangs; null while one was not. */
export function leastLost({ pieces, lot, did, sinceMs }: Omit<Hanging, 'item'>): Fraction | null {
  const weighed = weighedOf(did).filter(one => one.atMs >= sinceMs)
  const last = pieces.map(id => pieceLosses(id, lot, weighed).at(-1)?.lost ?? null)
  return last.includes(null) || last.length === 0 ? null : Math.min(...(last as Fraction[]))
}

/**
 * What hanging pieces ask for: a weight as they are hung and every week from then on; another humidity on its day; and,
 * once they have lost what the plan wants, what comes next, late when it is too dry.
 */
export function hangDue(hanging: Hanging, next: PlanItem | undefined, nowMs: Milliseconds): Due[] {
  const { item, sinceMs, did } = hanging
  const lost = leastLost(hanging)
  const ready = lost !== null && lost >= item.lossFrom
  const { lossFrom: from, lossTo: to } = item
  return [
    ...(ready && next ? [due(next.kind, { why: 'lost', lost, from, to }, { item: next, late: lost > to })] : [weighDue(hanging, nowMs)]),
    ...humidityDue(item, sinceMs, did, nowMs),
  ]
}

function weighDue({ did, sinceMs }: Hanging, nowMs: Milliseconds): Due {
  const lastMs = weighedOf(did).findLast(one => one.atMs >= sinceMs)?.atMs ?? null
  if (lastMs === null) return due('weigh', { why: 'weekly', lastMs })
  const fromMs = lastMs + WEIGH_EVERY_MS
  return due('weigh', { why: 'weekly', lastMs }, {
    notBeforeMs: nowMs < fromMs ? fromMs : null,
    late: nowMs >= fromMs + WEIGH_LATE_MS,
  })
}

/** The last change that should have been by now, until it is told; what comes next on its day. */
function humidityDue({ rhByDay }: PlanItemOf<'hang'>, sinceMs: Milliseconds, did: readonly DoneStep[], nowMs: Milliseconds): Due[] {
  const steps = rhByDay.map(({ fromDay: day, percent }) => ({ day, percent, fromMs: sinceMs + day * MS_PER_DAY }))
  const told = did.findLast(step => step.kind === 'humidity' && step.fromMs >= sinceMs)
  const now = steps.findLast(step => step.fromMs <= nowMs)
  const isSet = now !== undefined && told?.percent === now.percent
  const next = isSet ? steps.find(step => step.fromMs > nowMs) : now
  if (!next) return []
  const { day, percent, fromMs } = next
  return [due('humidity', { why: 'humidity', day, percent }, { notBeforeMs: fromMs > nowMs ? fromMs : null })]
}
