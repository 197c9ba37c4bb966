import { happenedMs } from '#core/life/happened'
import { LATE_REASON_MS } from '#core/rules/house'
import type { Milliseconds } from '#core/units/quantities'
import type { Happened } from '#shared/contracts/records'
import type { ToldWhen } from '#shared/entry/when'
import { refuse, type Answer, type WriteContext } from './context'

/** When a thing happened, as it is told. What lies ahead is refused; told more than a day late, it says why. */
export function whenOf(
  { nowMs }: Pick<WriteContext, 'nowMs'>,
  { when, lateReason }: ToldWhen,
): Answer<Milliseconds> {
  const atMs = happenedMs(when, nowMs)
  if (atMs === null) return refuse('not_yet_happened', {}, ['when', 'atMs'])
  if (nowMs - atMs > LATE_REASON_MS && lateReason === null) return refuse('late_reason_missing', {}, ['lateReason'])
  return { ok: true, value: atMs }
}

/** What a record keeps of when its thing happened; nothing where it was told at once. */
export const happenedOf = ({ nowMs }: Pick<WriteContext, 'nowMs'>, atMs: Milliseconds): Happened =>
  atMs < nowMs ? { happenedMs: atMs, lateMs: nowMs - atMs } : {}
