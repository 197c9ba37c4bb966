import { type Milliseconds, MS_PER_MINUTE } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import { refuse, type Answer } from '../context'
import { beginAttempt, markRight, WINDOW_MINUTES } from './attempts'
import { verifyPassword } from './passwords'
import type { PersonAtDoor } from '../../db/readers/door-reader'
import type { Session } from './sessions'

/** How long a password that was just given again stands for what needs it. */
const CONFIRMED_MS = 5 * MS_PER_MINUTE

/** One's own password once more, on a device that is open already; wrong guesses at it are counted as at the door. */
export async function checkOwnPassword(
  tables: Tables,
  user: Pick<PersonAtDoor, 'id' | 'signIn'>,
  password: string,
  nowMs: Milliseconds,
): Promise<Answer<null>> {
  const attempt = await beginAttempt(tables, { kind: 'own', signIn: user.signIn, address: '', device: null }, nowMs)
  if (attempt === null) return refuse('password_closed', { minutes: WINDOW_MINUTES })
  const [own] = await tables.users.pick(['passwordHash'], { id: user.id })
  if (!own || !(await verifyPassword(own.passwordHash, password))) return refuse('password_wrong', {}, ['password'])
  await markRight(tables, attempt)
  return { ok: true, value: null }
}

/** Opens what needs the password again for the next minutes, on this device. */
export async function confirmSession(
  tables: Tables,
  { session, user }: { session: Session; user: PersonAtDoor },
  password: string,
  nowMs: Milliseconds,
): Promise<Answer<object>> {
  if (session.shared) return refuse('own_sign_in_needed')
  const checked = await checkOwnPassword(tables, user, password, nowMs)
  if (!checked.ok) return checked
  await tables.sessions.update(session.id, { confirmedUntilMs: nowMs + CONFIRMED_MS })
  return { ok: true, value: {} }
}

export const isConfirmed = (session: Session, nowMs: Milliseconds): boolean =>
  session.confirmedUntilMs !== null && session.confirmedUntilMs > nowMs
