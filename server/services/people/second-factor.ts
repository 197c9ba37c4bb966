import type { z } from 'zod'
import type { secondFactorInput, SecondFactorOffer } from '#shared/contracts/people'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { theShop } from '../office/office'
import { newRecoveryCodes, newSecret, recoveryHash, stepOf } from './one-time-codes'

/** A secret for the phone to keep; nothing is kept here until a code of it comes back. */
export async function offerSecondFactor(ctx: WriteContext): Promise<Answer<SecondFactorOffer>> {
  const [user, shop] = [(await ctx.tables.users.one({ id: ctx.actor.id }))!, await theShop(ctx.tables)]
  return { ok: true, value: newSecret(user.signIn, shop.name) }
}

/** The phone has it: from now on the door asks for a code. Answers with the recovery codes, shown this once. */
export async function setSecondFactor(
  ctx: WriteContext,
  input: z.output<typeof secondFactorInput>,
): Promise<Answer<{ recoveryCodes: string[] }>> {
  if (stepOf(input.secret, input.code, ctx.nowMs) === null)
    return refuse('code_unfit', {}, ['code'])
  const recoveryCodes = newRecoveryCodes()
  await ctx.tables.users.update(ctx.actor.id, {
    totpSecret: input.secret,
    recoveryHashes: recoveryCodes.map(recoveryHash),
  })
  recordEvent(ctx, { kind: 'second_factor_set', subjects: [], typed: { person: ctx.actor.name } })
  return { ok: true, value: { recoveryCodes } }
}

export async function dropSecondFactor(ctx: WriteContext): Promise<Answer<object>> {
  await ctx.tables.users.update(ctx.actor.id, { totpSecret: null, recoveryHashes: null })
  recordEvent(ctx, { kind: 'second_factor_dropped', subjects: [], typed: { person: ctx.actor.name } })
  return { ok: true, value: {} }
}
