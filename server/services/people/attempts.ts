import { MS_PER_MINUTE } from '#core/units/quantities'
import type { Tables } from '../../db/store'

export const WINDOW_MINUTES = 15
const MOST_FAILURES_AN_ADDRESS = 30
/** A PIN has few digits: fewer tries. */
const MOST_FAILURES = { password: 6, pin: 5 }

export interface Attempt { kind: 'password' | 'pin', signIn: string, address: string }

async function failures(tables: Tables, who: Partial<Attempt>, nowMs: number): Promise<number> {
  const recent = await tables.signInAttempts.find({ ...who, succeeded: false }, { order: [['id', 'DESC']], limit: MOST_FAILURES_AN_ADDRESS + 1 })
  return recent.filter(attempt => attempt.atMs > nowMs - WINDOW_MINUTES * MS_PER_MINUTE).length
}

/**
 * Counts a try before it is looked at, so that many at once are counted too. Null when this name, or for a password this address, has
 * had too many wrong tries in the last 15 minutes; else the number by which a right one is marked.
 */
export async function beginAttempt(tables: Tables, { kind, signIn, address }: Attempt, nowMs: number): Promise<number | null> {
  const id = await tables.signInAttempts.insert({ kind, signIn, address, atMs: nowMs, succeeded: false })
  const closed = await failures(tables, { kind, signIn }, nowMs) > MOST_FAILURES[kind]
    // A whole shop may stand behind one address: a PIN is closed for its person alone.
    || (kind === 'password' && await failures(tables, { kind, address }, nowMs) > MOST_FAILURES_AN_ADDRESS)
  return closed ? null : id
}

export const markRight = (tables: Tables, attemptId: number): Promise<void> => tables.signInAttempts.update(attemptId, { succeeded: true })
