import { DEFAULT_NOTATION } from '#core/units/format'
import type { z } from 'zod'
import type { personInput } from '#shared/contracts/people'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { lockShop } from '../lock-rows'
import { theShop } from '../shop/shop-facts'
import { hashPassword } from './passwords'
import { refuseWeakPassword } from './weak-password'

/** Adds an account. The password is kept as a hash only and never reaches the book. */
export async function addPerson(
  ctx: WriteContext,
  input: z.output<typeof personInput>,
): Promise<Answer<{ id: number }>> {
  await lockShop(ctx.tables)
  const taken = await ctx.tables.users.one({ signIn: input.signIn })
  if (taken) return refuse('sign_in_taken', { signIn: input.signIn }, ['signIn'])
  const weak = refuseWeakPassword(
    input.password,
    [input.name, input.signIn, (await theShop(ctx.tables)).name],
    ['password'],
  )
  if (weak) return weak
  const { password, ...known } = input
  const id = await ctx.tables.users.insert({
    ...known,
    passwordHash: await hashPassword(password),
    notation: DEFAULT_NOTATION,
    active: true,
  })
  recordEvent(ctx, { kind: 'person_added', subjects: [], typed: known })
  return { ok: true, value: { id } }
}
