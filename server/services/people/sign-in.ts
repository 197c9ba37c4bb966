import type { SignedIn } from '#shared/contracts/people'
import type { Store } from '../../db/store'
import { refuse, type Answer } from '../context'
import { beginAttempt, markRight, WINDOW_MINUTES } from './attempts'
import { hashPassword, verifyPassword } from './passwords'
import type { User } from './sessions'

export const signedIn = (user: User): SignedIn =>
  ({ id: user.id, name: user.name, initials: user.initials, role: user.role, notation: user.notation })

let decoy: Promise<string> | null = null

/**
 * Checks a name and a password. An unknown name takes as long as a wrong password and is refused in the same words.
 * Six failures for a name, or thirty from an address, in 15 minutes close it for the rest of them.
 */
export async function signIn(
  store: Store, input: { signIn: string, password: string }, address: string, nowMs: number,
): Promise<Answer<User>> {
  const { tables } = store
  const attempt = await beginAttempt(tables, { kind: 'password', signIn: input.signIn, address }, nowMs)
  if (attempt === null) return refuse('sign_in_closed', { minutes: WINDOW_MINUTES })
  const user = await tables.users.one({ signIn: input.signIn, active: true })
  const fits = await verifyPassword(user?.passwordHash ?? await (decoy ??= hashPassword('nobody has this')), input.password)
  if (user === null || !fits) return refuse('sign_in_wrong')
  await markRight(tables, attempt)
  return { ok: true, value: user }
}
