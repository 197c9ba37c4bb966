import { MS_PER_HOUR, type Grams, type Milliseconds } from '../units/quantities'
import { due, type Due, type DueWhy } from './due-thing'
import { hangDue } from './hang-due'
import type { HourSpan, Plan, PlanItem } from './plan'
import { nextTold, progressOf, type DoneStep } from './progress'

/** Pieces that were out at one instant, and to which the same was done. `lot`: all of their lot. */
export interface Alike {
  outAtMs: Milliseconds
  did: readonly DoneStep[]
  ids: readonly number[]
  lot: readonly { id: number; greenG: Grams }[]
}

/** What comes next along the plan, for pieces to which the same was done. */
export function afterDue({ then }: Plan, { outAtMs, did, ...group }: Alike, nowMs: Milliseconds): Due[] {
  const p = progressOf(then, outAtMs, did)
  const item = then[p.at]
  const fry = p.fryTestFromMs !== null && p.fryTestFromMs <= nowMs ? [due('fry_test', { why: 'soaked' })] : []
  if (!item) return fry
  if (p.sinceMs === null) {
    const of = item.kind === 'heat' ? item.sessions : 1
    const because: DueWhy = of > 1 ? { why: 'session', number: p.sessions + 1, of } : { why: 'next' }
    return [...fry, ...(fry.length > 0 ? [] : [due(item.kind, because, { item })])]
  }
  if (item.kind === 'hang')
    return hangDue({ item, sinceMs: p.sinceMs, pieces: group.ids, lot: group.lot, did }, then[nextTold(then, p.at + 1)], nowMs)
  const hours = hoursOf(item)
  // A heat is over when it is pulled: the smokehouse says so.
  if (!hours || item.kind === 'heat') return []
  const [readyMs, lateMs] = [p.sinceMs + hours.from * MS_PER_HOUR, p.sinceMs + hours.to * MS_PER_HOUR]
  const because: DueWhy = { why: 'after', going: item.kind, sinceMs: p.sinceMs, hours }
  const early = nowMs < readyMs ? readyMs : null
  const more = { notBeforeMs: early, byMs: lateMs, late: nowMs >= lateMs }
  if (item.kind === 'soak') return [due('fry_test', because, more)]
  if (item.kind === 'dry' && item.untilTacky && !isTacky(did, p.sinceMs))
    return [due('touch', because, more)]
  const next = then[nextTold(then, p.at + 1)]
  return next ? [due(next.kind, because, { ...more, item: next })] : []
}

const hoursOf = (item: PlanItem): HourSpan | null => ('hours' in item ? item.hours : null)

/** The last finger on it, since it began to dry, said tacky or dry. */
function isTacky(did: readonly DoneStep[], sinceMs: Milliseconds): boolean {
  const last = did.findLast(step => step.kind === 'look' && step.surface !== undefined && step.fromMs >= sinceMs)
  return last?.surface === 'tacky' || last?.surface === 'dry'
}
