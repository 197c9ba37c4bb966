import type { Milliseconds } from '../units/quantities'

/** What a list of its place, or of a tool of the shop, is asked for before. */
export const CHECK_ASKED = ['never', 'before_heat', 'before_slicing'] as const
export type CheckAsked = (typeof CHECK_ASKED)[number]

/** `open`: done, but something on it was not in order or not done. */
export type CheckState = 'never_done' | 'open' | 'over' | 'good'

export interface CheckQuestion {
  goodForMs: Milliseconds
  last: { atMs: Milliseconds; passed: boolean } | null
  sameItems?: boolean
}

/**
 * How a list stands by the last time it was gone through. `goodForMs`: so long it holds; on the dot it still does. What
 * came onto the list since (`sameItems` false) was not looked at.
 */
export function checkState(
  { goodForMs, last, sameItems = true }: CheckQuestion,
  nowMs: Milliseconds,
): CheckState {
  if (!last) return 'never_done'
  if (!last.passed) return 'open'
  return sameItems && nowMs - last.atMs <= goodForMs ? 'good' : 'over'
}

/** Whether a list is asked for before a use: one of a place in that place, one of a tool wherever it is used. */
export const isAskedFor = (
  list: { asked: CheckAsked; placeId: number | null; inUse: boolean },
  use: { asked: CheckAsked; placeId: number | null },
): boolean => list.inUse && list.asked === use.asked && (list.placeId === null || use.placeId === null || list.placeId === use.placeId)
