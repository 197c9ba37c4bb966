import { createHash } from 'node:crypto'
import { defineEventHandler, getRequestHeader, readRawBody, type H3Event } from 'h3'
import type { z } from 'zod'
import { clientKey } from '#shared/contracts/fields'
import { faultsOf } from '#shared/contracts/issues'
import type { Role, SignedIn } from '#shared/contracts/people'
import { writeOnce } from '../services/book/write-once'
import type { Answer, WriteContext } from '../services/context'
import { theShop } from '../services/office/office'
import { appState } from './app-state'
import { refuse, replyAnswer, replyFailure, replyFaults, replyRefusal } from './reply'
import { isSameOrigin, personOf, WRITERS } from './session'

const LARGEST_BODY_BYTES = 2_000_000

/** The body as JSON, or the code of what is wrong with it. */
export async function readJson(event: H3Event): Promise<Answer<unknown>> {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > LARGEST_BODY_BYTES) return refuse('too_large', { bytes: LARGEST_BODY_BYTES })
  const raw = await readRawBody(event) ?? ''
  if (raw.length > LARGEST_BODY_BYTES) return refuse('too_large', { bytes: LARGEST_BODY_BYTES })
  try {
    return { ok: true, value: JSON.parse(raw || '{}') }
  }
  catch {
    return refuse('not_json')
  }
}

export interface WriteRoute<S extends z.ZodType, T> {
  contract: S
  /** Owner and maker unless said otherwise. */
  roles?: readonly Role[]
  write: (ctx: WriteContext, input: z.output<S>, event: H3Event, person: SignedIn) => Promise<Answer<T>>
}

/** The one way a record gets in: same origin, signed in, allowed, understood, then stored once under its key. */
export const writeRoute = <S extends z.ZodType, T>(route: WriteRoute<S, T>) => defineEventHandler(async (event) => {
  try {
    if (!isSameOrigin(event)) return replyRefusal(event, refuse('cross_site'))
    const person = await personOf(event)
    if (!person) return replyRefusal(event, refuse('not_signed_in'))
    if (!(route.roles ?? WRITERS).includes(person.role)) return replyRefusal(event, refuse('not_your_role', { role: person.role }))
    const key = clientKey().safeParse(getRequestHeader(event, 'idempotency-key'))
    if (!key.success) return replyRefusal(event, refuse('key_missing'))
    const body = await readJson(event)
    if (!body.ok) return replyRefusal(event, body)
    const input = route.contract.safeParse(body.value)
    if (!input.success) return replyFaults(event, faultsOf(input.error))
    const { store } = appState()
    const requestHash = createHash('sha256').update(`${event.path}\n${JSON.stringify(body.value)}`).digest('hex')
    const who = { actor: { id: person.id, role: person.role }, nowMs: Date.now(), zone: (await theShop(store.tables)).zone }
    return replyAnswer(event, await writeOnce(store, { clientKey: key.data, requestHash }, who,
      ctx => route.write(ctx, input.data, event, person)))
  }
  catch (error) {
    return replyFailure(event, error)
  }
})
