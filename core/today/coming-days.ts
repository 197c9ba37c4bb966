import { addDays, localDay, type IsoDate } from '../calendar/local-day'
import { comingOf } from '../plan/coming'
import type { Coming } from '../plan/coming-thing'
import type { Milliseconds } from '../units/quantities'
import { dueLot, waitsForOwner, type LotFacts } from './lot-tasks'

/** What a lot's plans have on a day. `late`: its hour is over. */
export interface ComingWork extends Coming {
  code: string
  late: boolean
}
export interface ComingDay {
  date: IsoDate
  ready: string[]
  bestBy: string[]
  /** Days in order of time. */
  work: ComingWork[]
}

/**
 * Lots in the cure that become ready, or reach their best-by day, on each of the next `days` calendar days from today,
 * and all that their plans have on it. What is late is today's.
 */
export function comingDays(lots: readonly LotFacts[], nowMs: Milliseconds, zone: string, days: number): ComingDay[] {
  const today = localDay(nowMs, zone)
  const curing = lots.filter(lot => lot.cureEndedAtMs === null)
  const coming = lots
    .filter(lot => !waitsForOwner(lot))
    .flatMap(lot =>
      comingOf(dueLot(lot), nowMs, days).map(one => ({
        ...one,
        code: lot.code,
        late: one.notBeforeMs === null && one.byMs !== null && one.byMs <= nowMs,
        date: localDay(Math.max(one.atMs, nowMs), zone),
      })),
    )
    .toSorted((a, b) => a.atMs - b.atMs)
  return Array.from({ length: days }, (_, i) => {
    const date = addDays(today, i)
    const on = (dayOf: (lot: LotFacts) => number) =>
      curing.filter(lot => addDays(lot.rubbedOn, dayOf(lot)) === date).map(lot => lot.code)
    return {
      date,
      ready: on(lot => lot.readyFromDay),
      bestBy: on(lot => lot.bestByDay),
      work: coming.filter(one => one.date === date).map(({ date: _date, ...one }): ComingWork => one),
    }
  })
}
