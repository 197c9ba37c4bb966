import { randomBytes } from 'node:crypto'
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_SECOND } from '#core/units/quantities'
import { sha256 } from '../../digest/sha256'
import type { RowOf } from '../../db/table'
import type { sessions, users } from '../../db/tables/people'
import type { Tables } from '../../db/store'

/** A person's own device is signed out after a working day; a tablet on the wall, where PINs sign, after a month. */
const OWN_MS = 12 * MS_PER_HOUR
export const SHARED_MS = 30 * MS_PER_DAY
/** A PIN signs the records of one visit; each record gives it this long again. */
export const SIGNATURE_MS = 60 * MS_PER_SECOND

export type Session = RowOf<typeof sessions>
export type User = RowOf<typeof users>
/** A browser that is signed in, and on a shared one whose PIN signs now. */
export interface OpenSession { session: Session, user: User, signer: User | null }

/** Signs a browser in. Only the token's hash is kept: the database alone opens no door. */
export async function startSession(tables: Tables, who: { userId: number, station: string, shared: boolean }, nowMs: number): Promise<string> {
  const token = randomBytes(32).toString('base64url')
  await tables.sessions.insert({ ...who, tokenHash: sha256(token), startedAtMs: nowMs, endsAtMs: nowMs + (who.shared ? SHARED_MS : OWN_MS) })
  return token
}

/** The session of a token while it lasts and its account is open. */
export async function openSession(tables: Tables, token: string, nowMs: number): Promise<OpenSession | null> {
  const session = await tables.sessions.one({ tokenHash: sha256(token), endedAtMs: null })
  if (!session || session.endsAtMs <= nowMs) return null
  const signs = session.signerId !== null && session.signedUntilMs !== null && session.signedUntilMs > nowMs
  const people = await tables.users.find({ id: signs ? [session.userId, session.signerId!] : [session.userId], active: true })
  const user = people.find(person => person.id === session.userId)
  if (!user) return null
  return { session, user, signer: signs ? people.find(person => person.id === session.signerId) ?? null : null }
}

export const endSession = (tables: Tables, session: Session, nowMs: number): Promise<void> => tables.sessions.update(session.id, { endedAtMs: nowMs })

/** Ends every sign-in of a person, but for the one that stays. */
export async function endSessionsOf(tables: Tables, userId: number, nowMs: number, staysId: number | null = null): Promise<void> {
  for (const session of await tables.sessions.find({ userId, endedAtMs: null })) {
    if (session.id !== staysId) await endSession(tables, session, nowMs)
  }
}

/** A record was signed: the signature lasts a little longer. */
export const keepSigning = (tables: Tables, session: Session, nowMs: number): Promise<void> =>
  tables.sessions.update(session.id, { signedUntilMs: nowMs + SIGNATURE_MS })
