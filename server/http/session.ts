import { getRequestHeader, useSession, type H3Event } from 'h3'
import type { Role, SignedIn } from '#shared/contracts/people'
import { MS_PER_SECOND } from '#core/units/quantities'
import { openSession, SHARED_MS, type OpenSession } from '../services/people/sessions'
import { signedIn } from '../services/people/sign-in'
import { appState } from './app-state'

/** The sealed, signed cookie of a browser: holds only the token of its session, which the database may end. */
export const cookieOf = (event: H3Event) => {
  const { settings } = appState()
  return useSession<{ token?: string }>(event, {
    password: settings.sessionSecret, name: 'veldmoor', maxAge: SHARED_MS / MS_PER_SECOND,
    cookie: { httpOnly: true, sameSite: 'lax', path: '/', secure: settings.secureCookies },
  })
}

/** Who is at the door, looked up afresh: a closed account or an ended session is out at once. */
export async function atDoor(event: H3Event): Promise<OpenSession | null> {
  const { token } = (await cookieOf(event)).data
  return token === undefined ? null : await openSession(appState().store.tables, token, Date.now())
}

/** Who reads: on a shared tablet nobody reads as more than a maker, whoever opened it. */
export const readerOf = ({ session, user }: OpenSession): SignedIn =>
  ({ ...signedIn(user), ...(session.shared && user.role === 'owner' ? { role: 'maker' as const } : {}) })

export const WRITERS: readonly Role[] = ['owner', 'maker']

/** A write must come from our own pages: browsers name the origin of every POST. */
export function isSameOrigin(event: H3Event): boolean {
  const origin = getRequestHeader(event, 'origin')
  if (!origin) return false
  try {
    return new URL(origin).host === getRequestHeader(event, 'host')
  }
  catch {
    return false
  }
}
