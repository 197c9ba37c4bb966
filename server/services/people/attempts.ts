import { type Milliseconds, MS_PER_MINUTE, MS_PER_SECOND } from '#core/units/quantities'
import type { AttemptKind } from '#shared/contracts/people'
import { duplicateOf } from '../../db/line/duplicate'
import type { Tables } from '../../db/database'
import type { WhereOf } from '../../db/schema/table-spec'
import type { signInAttempts } from '../../db/tables/people'
import { since } from '../../db/schema/where'

export const WINDOW_MINUTES = 15
const WINDOW_MS = WINDOW_MINUTES * MS_PER_MINUTE
export const MOST_FAILURES_AN_ADDRESS = 30
/** Few digits, few tries. */
export const MOST_FAILURES: Record<AttemptKind, number> = { password: 6, pin: 5, own: 6, code: 6, setup: 10 }
/**
 * Wrong tries at a name from anywhere, after which each next one has to wait, twice as long each time: a guesser is
 * slowed, nobody is shut out.
 */
const SLOW_AFTER = 12
const LONGEST_WAIT_MS = WINDOW_MS
/** Wrong PINs in a row, however long that took: then the password is asked for. */
export const PINS_IN_A_ROW = 20

export interface Attempt {
  kind: AttemptKind
  signIn: string
  address: string
  /** The device, when this name signed in on it before: it has tries of its own, which nobody else can use up. */
  device: string | null
}

interface Budget {
  who: WhereOf<typeof signInAttempts>
  most: number
}
/** Which tries count together, and how many of them may be wrong. */
function budgets({ kind, signIn, address, device }: Attempt): Budget[] {
  // Codes that a stranger guesses, who has the password, shut out strangers: whoever signed in on a device has their own.
  if (kind === 'code' && device !== null) return [{ who: { kind, signIn, device }, most: MOST_FAILURES.code }]
  if (kind === 'code') return [{ who: { kind, signIn, device: null }, most: MOST_FAILURES.code }]
  if (kind !== 'password') return [{ who: { kind, signIn }, most: MOST_FAILURES[kind] }]
  if (device !== null) return [{ who: { kind, signIn, device }, most: MOST_FAILURES.password }]
  // A whole shop may stand behind one address.
  return [
    { who: { kind, signIn, address, device: null }, most: MOST_FAILURES.password },
    { who: { kind, address, device: null }, most: MOST_FAILURES_AN_ADDRESS },
  ]
}

async function isClosed(tables: Tables, attempt: Attempt, nowMs: Milliseconds, already: number): Promise<boolean> {
  for (const { who, most } of budgets(attempt)) {
    if (
      (await tables.signInAttempts.count({ ...who, succeeded: false, atMs: since(nowMs - WINDOW_MS) }))
      - already
      >= most
    )
      return true
  }
  if (attempt.kind !== 'password' || attempt.device !== null) return false
  const failed = await tables.signInAttempts.find(
    {
      kind: attempt.kind,
      signIn: attempt.signIn,
      device: null,
      succeeded: false,
      atMs: since(nowMs - WINDOW_MS),
    },
    { order: [['id', 'DESC']], limit: 40 },
  )
  const before = failed.slice(already)
  const waitMs
    = before.length < SLOW_AFTER ? 0 : Math.min(LONGEST_WAIT_MS, MS_PER_SECOND * 2 ** (before.length - SLOW_AFTER))
  return waitMs > 0 && nowMs - before[0]!.atMs < waitMs
}

/**
 * Counts a try before it is looked at, so that many at once are counted too. Null when there were too many wrong ones:
 * then nothing is written, so that tries on a closed door neither fill the table nor keep it closed. Else the number by
 * which a right one is marked.
 */
export async function beginAttempt(tables: Tables, attempt: Attempt, nowMs: Milliseconds): Promise<number | null> {
  if (await isClosed(tables, attempt, nowMs, 0)) return null
  const id = await tables.signInAttempts.insert({ ...attempt, atMs: nowMs, succeeded: false })
  return (await isClosed(tables, attempt, nowMs, 1)) ? null : id
}

/** True after the wrong try that uses up its budget: the next one finds the door closed. */
export async function isLastTry(tables: Tables, attempt: Attempt, nowMs: Milliseconds): Promise<boolean> {
  const [{ who, most }] = budgets(attempt) as [Budget]
  return (
    (await tables.signInAttempts.count({ ...who, succeeded: false, atMs: since(nowMs - WINDOW_MS) }))
    === most
  )
}

export const markRight = (tables: Tables, attemptId: number): Promise<void> =>
  tables.signInAttempts.update(attemptId, { succeeded: true })

/**
 * Marks a one-time code right, by its step. False when it was taken before, or by another sender this moment: whoever
 * saw it typed has nothing from it.
 */
export async function markStep(tables: Tables, attemptId: number, step: number): Promise<boolean> {
  try {
    await tables.signInAttempts.update(attemptId, { succeeded: true, step })
    return true
  }
  catch (error) {
    if (duplicateOf(error) === null) throw error
    return false
  }
}

/** True when the last PINs given for a name were all wrong: it waits for the password. */
export async function pinsSpent(tables: Tables, signIn: string): Promise<boolean> {
  const last = await tables.signInAttempts.find({ signIn }, { order: [['id', 'DESC']], limit: PINS_IN_A_ROW })
  return last.length === PINS_IN_A_ROW && last.every(one => one.kind === 'pin' && !one.succeeded)
}
