import { randomBytes } from 'node:crypto'
import { type Milliseconds, MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE, MS_PER_SECOND } from '#core/units/quantities'
import { sha256 } from '../../digest/sha256'
import type { RowOf } from '../../db/schema/table-spec'
import type { users } from '../../db/tables/people'
import type { PersonAtDoor, SessionAtDoor } from '../../db/readers/door-reader'
import type { Store, Tables } from '../../db/database'

/**
 * A person's own device is signed out after a working day, or when it lay idle for two hours; a tablet on the wall,
 * where PINs sign, after a month.
 */
export const OWN_MS = 12 * MS_PER_HOUR
export const IDLE_MS = 2 * MS_PER_HOUR
/** Written down no more often than this. */
const SEEN_EVERY_MS = 5 * MS_PER_MINUTE
export const SHARED_MS = 30 * MS_PER_DAY
/** A PIN signs the records of one visit; each record gives it this long again. */
export const SIGNATURE_MS = 60 * MS_PER_SECOND

/** A sign-in as each page and each press has it. */
export type Session = SessionAtDoor
export type User = RowOf<typeof users>
/** A browser that is signed in, and on a shared one whose PIN signs now. */
export interface OpenSession {
  session: Session
  user: PersonAtDoor
  signer: PersonAtDoor | null
}

/** Signs a browser in. Only the token's hash is kept: the database alone opens no door. */
export async function startSession(
  tables: Tables,
  who: { userId: number; station: string; shared: boolean },
  nowMs: Milliseconds,
): Promise<string> {
  const token = randomBytes(32).toString('base64url')
  await tables.sessions.insert({
    ...who,
    tokenHash: sha256(token),
    startedAtMs: nowMs,
    seenAtMs: nowMs,
    endsAtMs: nowMs + (who.shared ? SHARED_MS : OWN_MS),
  })
  return token
}

/** The session of a token while it lasts and its account is open. */
export async function openSession(
  { door, tables }: Pick<Store, 'door' | 'tables'>,
  token: string,
  nowMs: Milliseconds,
): Promise<OpenSession | null> {
  const named = await door(sha256(token))
  if (!named || named.session.endsAtMs <= nowMs) return null
  const { session, people } = named
  const seenMs = session.seenAtMs ?? session.startedAtMs
  if (!session.shared && nowMs - seenMs > IDLE_MS) return null
  if (nowMs - seenMs > SEEN_EVERY_MS) await tables.sessions.update(session.id, { seenAtMs: nowMs })
  const signs = session.signerId !== null && session.signedUntilMs !== null && session.signedUntilMs > nowMs
  const user = people.find(person => person.id === session.userId)
  if (!user) return null
  return { session, user, signer: signs ? (people.find(person => person.id === session.signerId) ?? null) : null }
}

export const endSession = (tables: Tables, session: Pick<Session, 'id'>, nowMs: Milliseconds): Promise<void> =>
  tables.sessions.update(session.id, { endedAtMs: nowMs })

/** Ends every sign-in of a person, but for the one that stays. */
export async function endSessionsOf(
  tables: Tables,
  userId: number,
  nowMs: Milliseconds,
  staysId: number | null = null,
): Promise<void> {
  for (const session of await tables.sessions.find({ userId, endedAtMs: null })) {
    if (session.id !== staysId) await endSession(tables, session, nowMs)
  }
}

/** A record was signed: the signature lasts a little longer. */
export const keepSigning = (tables: Tables, session: Session, nowMs: Milliseconds): Promise<void> =>
  tables.sessions.update(session.id, { signedUntilMs: nowMs + SIGNATURE_MS })

/** Ends the session of a token, when it has one: a new sign-in on the same device leaves none behind. */
export async function endToken(tables: Tables, token: string | undefined, nowMs: Milliseconds): Promise<void> {
  const session = token === undefined ? null : await tables.sessions.one({ tokenHash: sha256(token), endedAtMs: null })
  if (session) await endSession(tables, session, nowMs)
}

/** The device by what its cookie holds, when this person signed in on it before; its hash. */
export async function knownDevice(
  tables: Tables,
  deviceToken: string | undefined,
  signIn: string,
): Promise<string | null> {
  if (deviceToken === undefined) return null
  const tokenHash = sha256(deviceToken)
  const user = await tables.users.one({ signIn })
  return user && (await tables.knownDevices.one({ tokenHash, userId: user.id })) ? tokenHash : null
}

export async function rememberDevice(
  tables: Tables,
  deviceToken: string,
  userId: number,
  nowMs: Milliseconds,
): Promise<void> {
  const tokenHash = sha256(deviceToken)
  if (!(await tables.knownDevices.one({ tokenHash, userId })))
    await tables.knownDevices.insert({ tokenHash, userId, atMs: nowMs })
}
