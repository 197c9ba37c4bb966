import { MS_PER_MINUTE } from '#core/units/quantities'
import type { SignedIn } from '#shared/contracts/people'
import type { RowOf } from '../../db/table'
import type { users } from '../../db/tables/people'
import type { Store, Tables } from '../../db/store'
import { refuse, type Answer } from '../context'
import { hashPassword, verifyPassword } from './passwords'

const WINDOW_MINUTES = 15
const MOST_FAILURES_A_NAME = 6
const MOST_FAILURES_AN_ADDRESS = 30

export const signedIn = (user: RowOf<typeof users>): SignedIn =>
  ({ id: user.id, name: user.name, initials: user.initials, role: user.role, notation: user.notation })

async function failures(tables: Tables, who: { signIn: string } | { address: string }, nowMs: number): Promise<number> {
  const recent = await tables.signInAttempts.find({ ...who, succeeded: false }, { order: [['id', 'DESC']], limit: MOST_FAILURES_AN_ADDRESS })
  return recent.filter(attempt => attempt.atMs > nowMs - WINDOW_MINUTES * MS_PER_MINUTE).length
}

let decoy: Promise<string> | null = null

/**
 * Checks a name and a password. An unknown name takes as long as a wrong password and is refused in the same words.
 * Six failures for a name, or thirty from an address, in 15 minutes close it for the rest of them.
 */
export async function signIn(
  store: Store, input: { signIn: string, password: string }, address: string, nowMs: number,
): Promise<Answer<SignedIn>> {
  const { tables } = store
  const closed = await failures(tables, { signIn: input.signIn }, nowMs) >= MOST_FAILURES_A_NAME
    || await failures(tables, { address }, nowMs) >= MOST_FAILURES_AN_ADDRESS
  if (closed) return refuse('sign_in_closed', { minutes: WINDOW_MINUTES })
  const user = await tables.users.one({ signIn: input.signIn, active: true })
  const fits = await verifyPassword(user?.passwordHash ?? await (decoy ??= hashPassword('nobody has this')), input.password)
  const succeeded = user !== null && fits
  await tables.signInAttempts.insert({ signIn: input.signIn, address, atMs: nowMs, succeeded })
  return succeeded ? { ok: true, value: signedIn(user) } : refuse('sign_in_wrong')
}
