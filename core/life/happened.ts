import { STEP_AHEAD_MS } from '../rules/house'
import { MS_PER_MINUTE, type Milliseconds } from '../units/quantities'

/** When somebody says that a thing was done: now, so many minutes ago, or at an hour. */
export type WhenTold = { told: 'now' } | { told: 'ago'; minutes: number } | { told: 'at'; atMs: Milliseconds }

/**
 * The instant that is meant, by the server's clock; null when it lies ahead. Clocks differ a little: up to two minutes
 * ahead counts as now.
 */
export function happenedMs(when: WhenTold, nowMs: Milliseconds): Milliseconds | null {
  if (when.told === 'now') return nowMs
  if (when.told === 'ago') return nowMs - when.minutes * MS_PER_MINUTE
  return when.atMs > nowMs + STEP_AHEAD_MS ? null : Math.min(when.atMs, nowMs)
}
