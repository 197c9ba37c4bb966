import { getRequestHeader, useSession, type H3Event } from 'h3'
import type { Role, SignedIn } from '#shared/contracts/people'
import { signedIn } from '../services/people/sign-in'
import { appState } from './app-state'

const TWELVE_HOURS_S = 12 * 60 * 60

/** The sealed, signed cookie of a browser: holds only who signed in. */
export const sessionOf = (event: H3Event) => {
  const { settings } = appState()
  return useSession<{ userId?: number }>(event, {
    password: settings.sessionSecret, name: 'veldmoor', maxAge: TWELVE_HOURS_S,
    cookie: { httpOnly: true, sameSite: 'lax', path: '/', secure: settings.secureCookies },
  })
}

/** Who is signed in, looked up afresh: a closed account is out at once. */
export async function personOf(event: H3Event): Promise<SignedIn | null> {
  const { userId } = (await sessionOf(event)).data
  if (userId === undefined) return null
  const user = await appState().store.tables.users.one({ id: userId, active: true })
  return user && signedIn(user)
}

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
