import type { Milliseconds } from '#core/units/quantities'
import type { SignedIn } from '#shared/contracts/people'
import type { Store } from '../../db/database'
import { inBook } from '../book/in-book'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { beginAttempt, isLastTry, markRight, markStep, WINDOW_MINUTES, type Attempt } from './attempts'
import { isRecoveryCode, recoveryHash, timeStepOf } from './one-time-codes'
import { hashPassword, isOutdated, verifyPassword } from './passwords'
import type { PersonAtDoor } from '../../db/readers/door-reader'
import type { User } from './sessions'

export const signedIn = (user: PersonAtDoor): SignedIn => ({
  id: user.id,
  name: user.name,
  initials: user.initials,
  role: user.role,
  notation: user.notation,
})

let decoy: Promise<string> | null = null

export interface SignInTry {
  signIn: string
  password: string
  code: string | null
}
export interface Door {
  address: string
  device: string | null
  station: string
  nowMs: Milliseconds
}

/** Work at the door, recorded in the name of the person who stands there. */
async function atDoor<T>(
  store: Store,
  user: User,
  { station, nowMs }: Door,
  work: (ctx: WriteContext) => Promise<T>,
): Promise<T> {
  const shop = await store.tables.shops.one({})
  const writer = {
    actor: { id: user.id, role: user.role, name: user.name },
    station,
    nowMs,
    zone: shop!.zone,
    clockRight: true,
  }
  return (await inBook(store, writer, work)).value
}

/** Crosses a recovery code off; false when it is none of theirs, or was one. */
const spendRecoveryCode = (store: Store, user: User, code: string, door: Door): Promise<boolean> =>
  atDoor(store, user, door, async (ctx) => {
    const { recoveryHashes } = await ctx.tables.users.the({ id: user.id }, { lock: true })
    const hash = recoveryHash(code)
    const left = (recoveryHashes ?? []).filter(one => one !== hash)
    if (left.length === (recoveryHashes ?? []).length) return false
    await ctx.tables.users.update(user.id, { recoveryHashes: left })
    recordEvent(ctx, {
      kind: 'recovery_code_used',
      subjects: [],
      typed: { person: user.name },
      computed: { left: left.length },
    })
    return true
  })

/** The second factor, where a person has one: a code of now, used once, or one of the recovery codes. */
export async function checkCode(store: Store, user: User, code: string | null, door: Door): Promise<Answer<null>> {
  if (user.totpSecret === null) return { ok: true, value: null }
  if (code === null) return refuse('code_needed')
  // A recovery code is guessed by nobody: it is taken however many codes were wrong.
  if (isRecoveryCode(code)) return (await spendRecoveryCode(store, user, code, door)) ? { ok: true, value: null } : refuse('code_wrong')
  const { tables } = store
  const attempt = await beginAttempt(
    tables,
    { kind: 'code', signIn: user.signIn, address: door.address, device: door.device },
    door.nowMs,
  )
  if (attempt === null) return refuse('sign_in_closed', { minutes: WINDOW_MINUTES })
  const step = timeStepOf(user.totpSecret, code.replace(/\s/g, ''), door.nowMs)
  return step !== null && (await markStep(tables, attempt, step)) ? { ok: true, value: null } : refuse('code_wrong')
}

/**
 * Checks a name, a password and, where one is set, a second factor. An unknown name takes as long as a wrong password
 * and is refused in the same words. Wrong tries close a name for the place they come from for 15 minutes; a device that
 * this name signed in on before has tries of its own. A hash of an earlier cost is made anew.
 */
export async function signIn(store: Store, input: SignInTry, door: Door): Promise<Answer<User>> {
  const { tables } = store
  const attempt: Attempt = { kind: 'password', signIn: input.signIn, address: door.address, device: door.device }
  const begun = await beginAttempt(tables, attempt, door.nowMs)
  if (begun === null) return refuse('sign_in_closed', { minutes: WINDOW_MINUTES })
  const user = await tables.users.one({ signIn: input.signIn, active: true })
  const fits = await verifyPassword(
    user?.passwordHash ?? (await (decoy ??= hashPassword('nobody has this'))),
    input.password,
  )
  if (user === null || !fits) {
    // Told once, in the book, by the try that closes it.
    if (user && (await isLastTry(tables, attempt, door.nowMs))) {
      await atDoor(store, user, door, async ctx =>
        recordEvent(ctx, {
          kind: 'name_closed',
          subjects: [],
          typed: { signIn: user.signIn },
          computed: { address: door.address, minutes: WINDOW_MINUTES },
        }),
      )
    }
    return refuse('sign_in_wrong')
  }
  await markRight(tables, begun)
  const second = await checkCode(store, user, input.code, door)
  if (!second.ok) return second
  if (isOutdated(user.passwordHash)) {
    const passwordHash = await hashPassword(input.password)
    await atDoor(store, user, door, async (ctx) => {
      await ctx.tables.users.update(user.id, { passwordHash })
      recordEvent(ctx, { kind: 'password_rehashed', subjects: [], typed: { person: user.name } })
    })
  }
  return { ok: true, value: user }
}
