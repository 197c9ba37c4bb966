import { MS_PER_DAY, type Days, type Milliseconds } from '../units/quantities'

/** `never`: not checked yet. `overdue`: the last good check is too old. `failed`: the last check was not passed. */
export const INSTRUMENT_STATES = ['checked', 'overdue', 'never', 'failed'] as const
export type InstrumentState = (typeof INSTRUMENT_STATES)[number]

export interface PastCheck {
  atMs: Milliseconds
  passed: boolean
}

/**
 * How an instrument stood at a moment, from the checks made up to then; in any order. `dueMs` is when the next is due.
 */
export function stateAt(
  checks: readonly PastCheck[],
  everyDays: Days,
  atMs: Milliseconds,
): { state: InstrumentState; dueMs: Milliseconds | null } {
  const last = checks
    .filter(check => check.atMs <= atMs)
    .reduce<PastCheck | null>((newest, check) => (!newest || check.atMs >= newest.atMs ? check : newest), null)
  if (!last) return { state: 'never', dueMs: null }
  const dueMs = last.atMs + everyDays * MS_PER_DAY
  if (!last.passed) return { state: 'failed', dueMs: last.atMs }
  return { state: atMs > dueMs ? 'overdue' : 'checked', dueMs }
}
