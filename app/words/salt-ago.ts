import { cureDay } from '#core/curing/cure-day'
import type { Milliseconds } from '#core/units/quantities'
import type { LotSummary } from '#shared/contracts/lots'

/** "salt last went on 3 days ago", where more went on after the rub; the cure day itself goes on counting from it. */
export function saltAgo(lot: Pick<LotSummary, 'did' | 'rubbedOn' | 'zone' | 'cureEndedAtMs'>, nowMs: Milliseconds): string {
  const { did, rubbedOn, zone, cureEndedAtMs } = lot
  const last = did.findLast(step => step.kind === 'add')
  if (!last) return ''
  const days = cureDay(rubbedOn, cureEndedAtMs ?? nowMs, zone) - cureDay(rubbedOn, last.fromMs, zone)
  return `salt last went on ${days === 0 ? 'today' : days === 1 ? 'a day ago' : `${days} days ago`}`
}
