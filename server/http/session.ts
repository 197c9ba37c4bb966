import { randomBytes } from 'node:crypto'
import { getCookie, setCookie, useSession, type H3Event } from 'h3'
import type { Role, SignedIn } from '#shared/contracts/people'
import { type Milliseconds, MS_PER_DAY, MS_PER_MINUTE, MS_PER_SECOND } from '#core/units/quantities'
import { openSession, SHARED_MS, type OpenSession } from '../services/people/sessions'
import { signedIn } from '../services/people/sign-in'
import { sha256 } from '../digest/sha256'
import { appState } from './app-state'

const DEVICE_DAYS = 400

/** Named by shop, so that two on one computer keep apart; over https no other site of the domain can set it. */
function cookieName(what: 'session' | 'device'): string {
  const { sessionSecret, secureCookies } = appState().settings
  return `${secureCookies ? '__Host-' : ''}veldmoor-${sha256(`cookie ${sessionSecret}`).slice(0, 8)}-${what}`
}

/**
 * The sealed, signed cookie of a browser: holds only the token of its session, which the database may end. `lastsMs`: as
 * long as that session; a browser keeps none beyond it.
 */
export const cookieOf = (event: H3Event, lastsMs: Milliseconds = SHARED_MS) => {
  const { settings } = appState()
  return useSession<{ token?: string }>(event, {
    password: settings.sessionSecret,
    name: cookieName('session'),
    maxAge: lastsMs / MS_PER_SECOND,
    cookie: { httpOnly: true, sameSite: 'lax', path: '/', secure: settings.secureCookies },
  })
}

/**
 * Seals that were opened and found ours, with what was in them: opening one costs as much as several questions to the
 * database.
 */
const opened = new Map<string, { token: string; untilMs: Milliseconds }>()
const MOST_OPENED = 500

/** The token in the cookie; undefined when there is none or it is not ours. */
export async function tokenOf(event: H3Event, nowMs: Milliseconds): Promise<string | undefined> {
  const sealed = getCookie(event, cookieName('session'))
  if (sealed === undefined) return undefined
  const known = opened.get(sealed)
  if (known && known.untilMs > nowMs) return known.token
  const { token } = (await cookieOf(event)).data
  opened.delete(sealed)
  if (token !== undefined) opened.set(sealed, { token, untilMs: nowMs + MS_PER_MINUTE })
  if (opened.size > MOST_OPENED) opened.delete(opened.keys().next().value!)
  return token
}

/** Who is at the door, looked up afresh: a closed account or an ended session is out at once. */
export async function atDoor(event: H3Event): Promise<OpenSession | null> {
  const nowMs = Date.now()
  const token = await tokenOf(event, nowMs)
  const at = token === undefined ? null : await openSession(appState().store, token, nowMs)
  event.context.userId = at?.user.id
  return at
}

/** Who reads: on a shared tablet nobody reads as more than a maker, whoever opened it. */
export const readerOf = ({ session, user }: OpenSession): SignedIn => ({
  ...signedIn(user),
  ...(session.shared && user.role === 'owner' ? { role: 'maker' as const } : {}),
})

export const WRITERS: readonly Role[] = ['owner', 'maker']

/** The cookie by which a device is known again, for its own tries at the door; it signs nobody in. */
export const deviceToken = (event: H3Event): string | undefined => getCookie(event, cookieName('device'))

/** A device gets such a cookie with its first sign-in; answers with what it holds. */
export function markDevice(event: H3Event): string {
  const known = deviceToken(event)
  if (known !== undefined) return known
  const token = randomBytes(32).toString('base64url')
  setCookie(event, cookieName('device'), token, {
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    secure: appState().settings.secureCookies,
    maxAge: (DEVICE_DAYS * MS_PER_DAY) / MS_PER_SECOND,
  })
  return token
}
