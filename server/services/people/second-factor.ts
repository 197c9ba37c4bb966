import type { z } from 'zod'
import type { Milliseconds } from '#core/units/quantities'
import type { secondFactorInput, SecondFactorOffer } from '#shared/contracts/people'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { theShop } from '../shop/shop-facts'
import { keyedDigest, sha256 } from '../../digest/sha256'
import type { Store } from '../../db/database'
import { newRecoveryCodes, newSecret, recoveryHash, timeStepOf } from './one-time-codes'
import { endSessionsOf, type OpenSession } from './sessions'
import { checkCode } from './sign-in'

/** Who sets a factor, and by what this server knows its own offers again. */
export interface Setter {
  sessionId: number
  sessionSecret: string
}
const proofOf = ({ sessionId, sessionSecret }: Setter, secret: string): string =>
  keyedDigest(sessionSecret, `second factor ${sessionId} ${secret}`)

/** A secret for the phone to keep; nothing is kept here until a code of it comes back. */
export async function offerSecondFactor(ctx: WriteContext, by: Setter): Promise<Answer<SecondFactorOffer>> {
  const [user, shop] = [await ctx.tables.users.the({ id: ctx.actor.id }), await theShop(ctx.tables)]
  const made = newSecret(user.signIn, shop.name)
  return { ok: true, value: { ...made, proof: proofOf(by, made.secret) } }
}

/**
 * What is asked before a factor is changed or put off: a code of the one that is in use, or a recovery code, where
 * there is one. A password alone, and a device left open, take it from nobody.
 */
export async function checkCurrent(
  store: Store,
  { session, user }: OpenSession,
  current: string | null,
  nowMs: Milliseconds,
): Promise<Answer<null>> {
  const device = sha256(`second factor of session ${session.id}`)
  const own = await store.tables.users.one({ id: user.id })
  if (!own) return refuse('not_signed_in')
  const checked = await checkCode(store, own, current, { address: '', device, station: session.station, nowMs })
  return checked.ok ? checked : { ...checked, path: ['current'] }
}

/** The phone has it: from now on the door asks for a code. Answers with the recovery codes, shown this once. */
export async function setSecondFactor(
  ctx: WriteContext,
  input: z.output<typeof secondFactorInput>,
  by: Setter,
): Promise<Answer<{ recoveryCodes: string[] }>> {
  // A secret that somebody thought of, or knows, is none.
  if (input.proof !== proofOf(by, input.secret)) return refuse('secret_not_ours', {}, ['secret'])
  if (timeStepOf(input.secret, input.code, ctx.nowMs) === null)
    return refuse('code_unfit', {}, ['code'])
  const recoveryCodes = newRecoveryCodes()
  await ctx.tables.users.update(ctx.actor.id, {
    totpSecret: input.secret,
    recoveryHashes: recoveryCodes.map(recoveryHash),
  })
  // Whoever signed in without it signs in again.
  await endSessionsOf(ctx.tables, ctx.actor.id, ctx.nowMs, by.sessionId)
  recordEvent(ctx, { kind: 'second_factor_set', subjects: [], typed: { person: ctx.actor.name } })
  return { ok: true, value: { recoveryCodes } }
}

export async function dropSecondFactor(ctx: WriteContext): Promise<Answer<object>> {
  await ctx.tables.users.update(ctx.actor.id, { totpSecret: null, recoveryHashes: null })
  recordEvent(ctx, { kind: 'second_factor_dropped', subjects: [], typed: { person: ctx.actor.name } })
  return { ok: true, value: {} }
}
