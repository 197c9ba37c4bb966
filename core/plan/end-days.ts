import { cureDay } from '../curing/cure-day'
import type { DueLot } from './due-lot'
import type { Plan } from './plan'

/** Cure days from and to which a cure may end: where a plan counts from the last salt, these shift with it. */
export function endDays(lot: Pick<DueLot, 'did' | 'rubbedOn' | 'zone'>, end: Plan['end']): { fromDay: number; toDay: number } {
  const lastPut = end.by === 'hard' && end.from === 'last_salt' ? lot.did.findLast(step => step.kind === 'add') : undefined
  const shift = lastPut ? cureDay(lot.rubbedOn, lastPut.fromMs, lot.zone) : 0
  return { fromDay: end.fromDay + shift, toDay: end.toDay + shift }
}
