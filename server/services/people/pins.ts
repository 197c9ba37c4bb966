import type { Milliseconds } from '#core/units/quantities'
import type { z } from 'zod'
import type { pinInput, signatureInput, StationView } from '#shared/contracts/people'
import type { Store, Tables } from '../../db/database'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { beginAttempt, markRight, pinsSpent, WINDOW_MINUTES } from './attempts'
import { hashPassword, verifyPassword } from './passwords'
import { SIGNATURE_MS, type OpenSession } from './sessions'

/** Chooses one's own PIN; the password was checked before. */
export async function choosePin(ctx: WriteContext, input: z.output<typeof pinInput>): Promise<Answer<object>> {
  const user = await ctx.tables.users.the({ id: ctx.actor.id })
  await ctx.tables.users.update(user.id, { pinHash: await hashPassword(input.pin) })
  // Whoever signs with the old one signs no longer.
  for (const session of await ctx.tables.sessions.find({ signerId: user.id, endedAtMs: null }))
    await ctx.tables.sessions.update(session.id, { signerId: null, signedUntilMs: null })
  recordEvent(ctx, { kind: 'pin_chosen', subjects: [], typed: { person: user.name } })
  return { ok: true, value: {} }
}

/** Signs at a shared station: five wrong PINs for a person in 15 minutes close their PIN for the rest of them. */
export async function signAtStation(
  store: Store,
  at: OpenSession,
  input: z.output<typeof signatureInput>,
  address: string,
  nowMs: Milliseconds,
): Promise<Answer<object>> {
  if (!at.session.shared) return refuse('not_shared')
  const { tables } = store
  const person = await tables.users.one({ id: input.userId, active: true })
  if (!person || person.pinHash === null || person.role === 'inspector') return refuse('no_pin')
  if (await pinsSpent(tables, person.signIn)) return refuse('pin_spent')
  const attempt = await beginAttempt(tables, { kind: 'pin', signIn: person.signIn, address, device: null }, nowMs)
  if (attempt === null) return refuse('pin_closed', { minutes: WINDOW_MINUTES })
  if (!(await verifyPassword(person.pinHash, input.pin))) return refuse('pin_wrong')
  await markRight(tables, attempt)
  await tables.sessions.update(at.session.id, { signerId: person.id, signedUntilMs: nowMs + SIGNATURE_MS })
  return { ok: true, value: {} }
}

/** The signer steps away: the next record needs a PIN again. */
export const stepAway = (tables: Tables, at: OpenSession): Promise<void> =>
  tables.sessions.update(at.session.id, { signerId: null, signedUntilMs: null })

/** The device as its page shows it. */
export async function stationView(tables: Tables, { session, signer }: OpenSession): Promise<StationView> {
  const people = session.shared ? await tables.users.find({ active: true }, { order: [['name', 'ASC']] }) : []
  const brief = (person: { id: number; name: string; initials: string }) => ({
    id: person.id,
    name: person.name,
    initials: person.initials,
  })
  return {
    name: session.station,
    shared: session.shared,
    signer: signer && brief(signer),
    signedUntilMs: signer && session.signedUntilMs,
    signers: people.filter(person => person.pinHash !== null && person.role !== 'inspector').map(brief),
  }
}
