import { MS_PER_DAY, type Milliseconds } from '../units/quantities'
import type { RuleRow } from './rule-set'

/** What a law asks of meat between its cure and the door. */
export interface Maturation {
  days: number
  source: string
  /** The instant from which it may go out; null while some of it cures. */
  fromMs: Milliseconds | null
}

/**
 * The longest maturation that rows of a lot ask for, counted in whole days of 24 h from when the last of its pieces
 * left the cure; null where none does.
 */
export function maturationOf(rows: readonly RuleRow[], outAtMs: readonly (Milliseconds | null)[]): Maturation | null {
  const [row] = rows.filter(one => one.maturationDays !== undefined).toSorted((a, b) => b.maturationDays! - a.maturationDays!)
  if (!row) return null
  const days = row.maturationDays!
  const out = outAtMs.filter(atMs => atMs !== null)
  return {
    days,
    source: row.source,
    fromMs: out.length === 0 || out.length < outAtMs.length ? null : Math.max(...out) + days * MS_PER_DAY,
  }
}
