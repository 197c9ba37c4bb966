import type { SignedIn } from '#shared/contracts/people'
import type { Store, Tables } from '../../db/store'
import { inBook } from '../book/in-book'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type NewEvent } from '../context'
import { beginAttempt, isLastTry, markRight, WINDOW_MINUTES, type Attempt } from './attempts'
import { isUsed, recoveryHash, stepOf } from './one-time-codes'
import { hashPassword, isOutdated, verifyPassword } from './passwords'
import type { User } from './sessions'

export const signedIn = (user: User): SignedIn =>
  ({ id: user.id, name: user.name, initials: user.initials, role: user.role, notation: user.notation })

let decoy: Promise<string> | null = null

export interface SignInTry { signIn: string, password: string, code: string | null }
export interface Door { address: string, device: string | null, station: string, nowMs: number }

/** A record that the door makes about a person, in that person's name. */
async function recordAtDoor(store: Store, user: User, { station, nowMs }: Door, event: NewEvent, change: (tables: Tables) => Promise<void> = () => Promise.resolve()): Promise<void> {
  const shop = await store.tables.shops.one({})
  const writer = { actor: { id: user.id, role: user.role, name: user.name }, station, nowMs, zone: shop!.zone, clockRight: true }
  await inBook(store, writer, async (ctx) => {
    await change(ctx.tables)
    recordEvent(ctx, event)
  })
}

/** The second factor, where a person has one: a code of now, used once, or one of the recovery codes. */
async function checkCode(store: Store, user: User, code: string | null, door: Door): Promise<Answer<null>> {
  if (user.totpSecret === null) return { ok: true, value: null }
  if (code === null) return refuse('code_needed')
  const attempt = await beginAttempt(store.tables, { kind: 'code', signIn: user.signIn, address: door.address, device: door.device }, door.nowMs)
  if (attempt === null) return refuse('sign_in_closed', { minutes: WINDOW_MINUTES })
  const step = stepOf(user.totpSecret, code.replace(/\s/g, ''), door.nowMs)
  if (step !== null && !await isUsed(store.tables, user.signIn, step)) {
    await markRight(store.tables, attempt, step)
    return { ok: true, value: null }
  }
  const hash = recoveryHash(code)
  const left = (user.recoveryHashes ?? []).filter(one => one !== hash)
  if (left.length === (user.recoveryHashes ?? []).length) return refuse('code_wrong')
  await markRight(store.tables, attempt)
  await recordAtDoor(store, user, door, { kind: 'recovery_code_used', subjects: [], typed: { person: user.name }, computed: { left: left.length } },
    tables => tables.users.update(user.id, { recoveryHashes: left }))
  return { ok: true, value: null }
}

/**
 * Checks a name, a password and, where one is set, a second factor. An unknown name takes as long as a wrong password and is refused in
 * the same words. Wrong tries close a name for the place they come from for 15 minutes; a device that this name signed in on before has
 * tries of its own. A hash of an earlier cost is made anew.
 */
export async function signIn(store: Store, input: SignInTry, door: Door): Promise<Answer<User>> {
  const { tables } = store
  const attempt: Attempt = { kind: 'password', signIn: input.signIn, address: door.address, device: door.device }
  const begun = await beginAttempt(tables, attempt, door.nowMs)
  if (begun === null) return refuse('sign_in_closed', { minutes: WINDOW_MINUTES })
  const user = await tables.users.one({ signIn: input.signIn, active: true })
  const fits = await verifyPassword(user?.passwordHash ?? await (decoy ??= hashPassword('nobody has this')), input.password)
  if (user === null || !fits) {
    // Told once, in the book, by the try that closes it.
    if (user && await isLastTry(tables, attempt, door.nowMs)) {
      await recordAtDoor(store, user, door, { kind: 'name_closed', subjects: [], typed: { signIn: user.signIn }, computed: { address: door.address, minutes: WINDOW_MINUTES } })
    }
    return refuse('sign_in_wrong')
  }
  await markRight(tables, begun)
  const second = await checkCode(store, user, input.code, door)
  if (!second.ok) return second
  if (isOutdated(user.passwordHash)) {
    const passwordHash = await hashPassword(input.password)
    await recordAtDoor(store, user, door, { kind: 'password_rehashed', subjects: [], typed: { person: user.name } }, changed => changed.users.update(user.id, { passwordHash }))
  }
  return { ok: true, value: user }
}
