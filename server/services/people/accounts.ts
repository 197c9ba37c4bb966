import type { z } from 'zod'
import type { ownPasswordInput, passwordResetInput, personChangeInput } from '#shared/contracts/people'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { endCalendarsOf } from '../calendar/links'
import { theShop } from '../shop/shop-facts'
import { hashPassword } from './passwords'
import { refuseWeakPassword } from './weak-password'
import { endSession, endSessionsOf } from './sessions'

/** Changes an account. The last owner whose account is open can neither be closed nor made something else. */
export async function changePerson(
  ctx: WriteContext,
  id: number,
  input: z.output<typeof personChangeInput>,
): Promise<Answer<object>> {
  // Every owner's row is locked, so that two owners cannot close each other at once.
  const owners = await ctx.tables.users.find({ role: 'owner', active: true }, { lock: true, order: [['id', 'ASC']] })
  const person = await ctx.tables.users.one({ id }, { lock: true })
  if (!person) return refuse('no_such_person')
  const staysOwner = input.active && input.role === 'owner'
  if (!staysOwner && owners.every(owner => owner.id === id) && owners.length > 0)
    return refuse('last_owner', {}, [input.active ? 'role' : 'active'])
  await ctx.tables.users.update(id, input)
  if (!input.active || input.role !== person.role) {
    await endSessionsOf(ctx.tables, id, ctx.nowMs)
    await endCalendarsOf(ctx.tables, id, ctx.nowMs)
  }
  const { name, initials, role, active } = person
  recordEvent(ctx, {
    kind: 'person_changed',
    subjects: [],
    typed: input,
    computed: { before: { name, initials, role, active } },
  })
  return { ok: true, value: {} }
}

/** The owner gives someone a new password; their sign-ins end, and their PIN with them. */
export async function resetPassword(
  ctx: WriteContext,
  id: number,
  input: z.output<typeof passwordResetInput>,
): Promise<Answer<object>> {
  const person = await ctx.tables.users.one({ id }, { lock: true })
  if (!person) return refuse('no_such_person')
  // One's own goes with the old one beside it, further down.
  if (id === ctx.actor.id) return refuse('own_password_here', {}, ['password'])
  const weak = refuseWeakPassword(
    input.password,
    [person.name, person.signIn, (await theShop(ctx.tables)).name],
    ['password'],
  )
  if (weak) return weak
  // What else opens the door goes with the password: a lost phone is a reason to ask for a new one.
  await ctx.tables.users.update(id, {
    passwordHash: await hashPassword(input.password),
    pinHash: null,
    totpSecret: null,
    recoveryHashes: null,
  })
  await endSessionsOf(ctx.tables, id, ctx.nowMs)
  await endCalendarsOf(ctx.tables, id, ctx.nowMs)
  recordEvent(ctx, { kind: 'password_reset', subjects: [], typed: { person: person.name } })
  return { ok: true, value: {} }
}

/** One's own password; the old one was checked before. Every other sign-in of the same person ends. */
export async function changeOwnPassword(
  ctx: WriteContext,
  sessionId: number,
  input: z.output<typeof ownPasswordInput>,
): Promise<Answer<object>> {
  const person = await ctx.tables.users.the({ id: ctx.actor.id }, { lock: true })
  const weak = refuseWeakPassword(input.next, [person.name, person.signIn, (await theShop(ctx.tables)).name], ['next'])
  if (weak) return weak
  await ctx.tables.users.update(person.id, { passwordHash: await hashPassword(input.next) })
  await endSessionsOf(ctx.tables, person.id, ctx.nowMs, sessionId)
  await endCalendarsOf(ctx.tables, person.id, ctx.nowMs)
  recordEvent(ctx, { kind: 'password_changed', subjects: [], typed: { person: person.name } })
  return { ok: true, value: {} }
}

/** The owner signs a device out, wherever it is. */
export async function endDevice(ctx: WriteContext, id: number): Promise<Answer<object>> {
  const session = await ctx.tables.sessions.one({ id, endedAtMs: null }, { lock: true })
  if (!session) return refuse('no_such_device')
  await endSession(ctx.tables, session, ctx.nowMs)
  recordEvent(ctx, { kind: 'device_ended', subjects: [], typed: { station: session.station } })
  return { ok: true, value: {} }
}

/** One of one's own devices, left somewhere else, is signed out. */
export async function endOwnDevice(ctx: WriteContext, id: number): Promise<Answer<object>> {
  const session = await ctx.tables.sessions.one({ id, userId: ctx.actor.id, endedAtMs: null }, { lock: true })
  if (!session) return refuse('no_such_device')
  await endSession(ctx.tables, session, ctx.nowMs)
  recordEvent(ctx, { kind: 'own_device_ended', subjects: [], typed: { station: session.station } })
  return { ok: true, value: {} }
}
