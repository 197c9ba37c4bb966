import type { Milliseconds } from '#core/units/quantities'
import { defineEventHandler, getRequestHeader, type H3Event } from 'h3'
import type { z } from 'zod'
import { localDay } from '#core/calendar/local-day'
import { CLOCK_SEEN } from '#shared/contracts/clock'
import { clientKey } from '#shared/entry/fields'
import { faultsOf } from '#shared/faults/issues'
import type { Role, SignedIn } from '#shared/contracts/people'
import { keyedDigest } from '../digest/sha256'
import { writeOnce } from '../services/book/write-once'
import type { Answer, WriteContext } from '../services/context'
import { isConfirmed } from '../services/people/confirm'
import { keepSigning, type OpenSession } from '../services/people/sessions'
import { signedIn } from '../services/people/sign-in'
import { appState, shopZone } from './app-state'
import { isSameOrigin } from './origin'
import { readJsonBody } from './read-json'
import { replyAnswer, replyFailure, replyFaults, replyRefusal } from './reply'
import { refuse } from '../services/context'
import { atDoor, WRITERS } from './session'

/** The key that a press brings. Made once: a contract costs more to put together than to ask. */
const CLIENT_KEY = clientKey()

export interface WriteRoute<S extends z.ZodType, T> {
  contract: S
  /** Owner and maker unless said otherwise. What is the owner's alone is never signed with a PIN. */
  roles?: readonly Role[]
  /** Only from a device signed in with the person's own password. */
  ownSignIn?: boolean
  /** Only minutes after the password was given again: what changes who may open the door. */
  confirmed?: boolean | ((input: z.output<S>) => boolean)
  /** Goes before the write, outside its transaction: a wrong guess is to be counted, whatever is rolled back. */
  before?: (input: z.output<S>, at: OpenSession, nowMs: Milliseconds) => Promise<Answer<unknown>>
  /** The answer is a secret: it is not kept for whoever sends the same again. */
  shownOnce?: boolean
  write: (ctx: WriteContext, input: z.output<S>, event: H3Event, at: OpenSession) => Promise<Answer<T>>
}

/** Who signs this record: on a shared tablet whoever gave a PIN, as a maker at most. */
export function signerOf(at: OpenSession, route: { roles?: readonly Role[]; ownSignIn?: boolean }): Answer<SignedIn> {
  if (!at.session.shared) return { ok: true, value: signedIn(at.user) }
  if (route.ownSignIn || (route.roles && !route.roles.includes('maker'))) return refuse('own_sign_in_needed')
  return at.signer ? { ok: true, value: { ...signedIn(at.signer), role: 'maker' } } : refuse('pin_needed')
}

/** The one way a record gets in: same origin, signed in, allowed, understood, then stored once under its key. */
export const writeRoute = <S extends z.ZodType, T>(route: WriteRoute<S, T>) =>
  defineEventHandler(async (event) => {
    try {
      if (!isSameOrigin(event)) return replyRefusal(event, refuse('cross_site'))
      const at = await atDoor(event)
      if (!at) return replyRefusal(event, refuse('not_signed_in'))
      const signer = signerOf(at, route)
      if (!signer.ok) return replyRefusal(event, signer)
      const { id, role, name } = signer.value
      if (!(route.roles ?? WRITERS).includes(role)) return replyRefusal(event, refuse('not_your_role', { role }))
      const key = CLIENT_KEY.safeParse(getRequestHeader(event, 'idempotency-key'))
      if (!key.success) return replyRefusal(event, refuse('key_missing'))
      const body = await readJsonBody(event)
      if (!body.ok) return replyRefusal(event, body)
      const input = route.contract.safeParse(body.value)
      if (!input.success) return replyFaults(event, faultsOf(input.error))
      const asksAgain = typeof route.confirmed === 'function' ? route.confirmed(input.data) : route.confirmed
      if (asksAgain && !isConfirmed(at.session, Date.now())) return replyRefusal(event, refuse('password_again'))
      const allowed = await route.before?.(input.data, at, Date.now())
      if (allowed && !allowed.ok) return replyRefusal(event, allowed)
      const { store, settings } = appState()
      const requestHash = keyedDigest(settings.sessionSecret, `${event.path}\n${JSON.stringify(body.value)}`)
      const [nowMs, zone] = [Date.now(), await shopZone()]
      const clockRight = getRequestHeader(event, CLOCK_SEEN) === localDay(nowMs, zone)
      const writer = { actor: { id, role, name }, station: at.session.station, nowMs, zone, clockRight }
      const answer = await writeOnce(
        store,
        { clientKey: key.data, requestHash, shownOnce: route.shownOnce },
        writer,
        ctx => route.write(ctx, input.data, event, at),
      )
      // What was stored before and is sent again signs nobody in for longer.
      if (answer.ok && !answer.repeated && at.session.shared) await keepSigning(store.tables, at.session, nowMs)
      return replyAnswer(event, answer)
    }
    catch (error) {
      return replyFailure(event, error)
    }
  })
