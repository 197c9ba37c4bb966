import type { Milliseconds } from '#core/units/quantities'
import { z } from 'zod'
import { isZone } from '#core/calendar/local-day'
import { SHIPPED_RULES } from '#core/rules/sets/all-rules'
import type { Notation } from '#core/units/format'
import { name, text } from '../entry/fields'
import { named } from '../faults/issues'
import { LEAST_PASSWORD } from '../faults/sizes'

export const ROLES = ['owner', 'maker', 'inspector'] as const
export type Role = (typeof ROLES)[number]

export const signInName = () =>
  text()
    .trim()
    .toLowerCase()
    .min(2, named('too_short'))
    .max(64)
    .regex(/^[a-z0-9._@-]+$/, named('sign_in_letters'))
const password = () => text().min(LEAST_PASSWORD, named('password_short')).max(200)

const enteredPassword = () => text().min(1, named('empty')).max(200)
const LONGEST_STATION = 60
/** What a device is called in the book when nobody named it. */
export const OWN_DEVICE = 'own device'

export const signInInput = z.strictObject({
  signIn: text().trim().toLowerCase().min(1, named('empty')).max(64),
  password: enteredPassword(),
  /** The second factor, where a person has one: six digits, or a recovery code. */
  code: text().trim().max(40).nullable().default(null),
  /** The device's name, "Cold-room tablet". */
  station: name(LONGEST_STATION).default(OWN_DEVICE),
  /** A shared tablet: whoever records signs with a PIN. */
  shared: z.boolean().default(false),
})

/**
 * PINs that lie in a pattern on the keys of a telephone (a column, the corners, a cross), and what is chosen most
 * besides. Source: published counts of leaked PINs.
 */
const COMMON_PINS = new Set([
  '2580',
  '0852',
  '1470',
  '0741',
  '3690',
  '0963',
  '1397',
  '2468',
  '1379',
  '7139',
  '1004',
  '1357',
  '2424',
  '5683',
  '4200',
  '6969',
  '112233',
  '121212',
  '123123',
  '159753',
  '147258',
  '258000',
  '131313',
  '696969',
  '123321',
])
/**
 * Pairs and repeats (1212, 1122), years (1984, 2001), common ones, all one digit, or running up or down: the first that
 * anyone tries.
 */
const isEasyPin = (pin: string): boolean => {
  if (
    COMMON_PINS.has(pin)
    || /^(\d\d)\1+$/.test(pin)
    || /^(?:(\d)\1)+$/.test(pin)
    || /^(?:19|20)\d\d$/.test(pin)
    || /^(\d{3})\1$/.test(pin)
  )
    return true
  const steps = new Set([...pin].slice(1).map((digit, i) => Number(digit) - Number(pin[i])))
  return steps.size === 1 && [0, 1, -1].includes([...steps][0]!)
}
const PIN = /^\d{4,6}$/
const pinDigits = () => text().regex(PIN, named('pin_digits'))
export const pinInput = z.strictObject({
  password: enteredPassword(),
  pin: pinDigits().refine(pin => !PIN.test(pin) || !isEasyPin(pin), named('pin_easy')),
})
export const signatureInput = z.strictObject({ userId: z.number().int().positive(), pin: pinDigits() })
export const ownPasswordInput = z.strictObject({ password: enteredPassword(), next: password() })

export const notationInput = z.strictObject({
  mass: z.enum(['metric', 'us']),
  temperature: z.enum(['C', 'F']),
  decimal: z.enum(['.', ',']),
  dates: z.enum(['dmy', 'mdy', 'iso']),
}) satisfies z.ZodType<Notation>

export const personInput = z.strictObject({
  name: name(),
  initials: name(4),
  signIn: signInName(),
  password: password(),
  role: z.enum(ROLES),
})

/** What the owner may change of an account; the sign-in name stays, because the book and people know it. */
export const personChangeInput = personInput
  .pick({ name: true, initials: true, role: true })
  .extend({ active: z.boolean() })
/** One's own password once more, before what changes who may open the door. */
export const confirmInput = z.strictObject({ password: enteredPassword() })
/** A code of the phone that is asked for now, or one of the recovery codes; null: none is asked for. */
const currentCode = () => text().trim().max(40).nullable().default(null)
export const secondFactorInput = z.strictObject({
  secret: text().regex(/^[A-Z2-7]{32}$/, named('not_in_form')),
  code: text()
    .trim()
    .regex(/^\d{6}$/, named('code_digits')),
  /** Proof that the secret was made here, for this sign-in. */
  proof: text().max(64),
  current: currentCode(),
})
export const secondFactorOffInput = z.strictObject({ current: currentCode() })
export interface SecondFactorOffer {
  secret: string
  uri: string
  proof: string
}
export const ATTEMPT_KINDS = ['password', 'pin', 'own', 'code', 'setup'] as const
export type AttemptKind = (typeof ATTEMPT_KINDS)[number]

export const passwordResetInput = z.strictObject({ password: password() })

export const setupInput = z.strictObject({
  /** Printed by the start command: who opens the shop stands at its computer. */
  code: text().trim().max(20).default(''),
  shopName: name(),
  zone: text().max(64).refine(isZone, named('unknown_zone')),
  /**
   * The law the shop stands under, one of the sets that came with the program; the owner confirms it against the text
   * later.
   */
  ruleSetId: z.enum(SHIPPED_RULES.map(rules => rules.id) as [string, ...string[]], named('law_missing')),
  notation: notationInput,
  owner: personInput.omit({ role: true }),
})

/** The device someone is at. On a shared one, `signer` is whose PIN signs until `signedUntilMs`. */
export interface StationView {
  name: string
  shared: boolean
  signer: { id: number; name: string; initials: string } | null
  signedUntilMs: Milliseconds | null
  /** Who may sign here: those with a PIN. */
  signers: { id: number; name: string; initials: string }[]
}

export interface SignedIn {
  id: number
  name: string
  initials: string
  role: Role
  notation: Notation
}

export interface PersonView {
  id: number
  name: string
  initials: string
  signIn: string
  role: Role
  active: boolean
  hasPin: boolean
  hasSecondFactor: boolean
}
export interface DeviceView {
  id: number
  station: string
  shared: boolean
  who: string
  startedAtMs: Milliseconds
  endsAtMs: Milliseconds
  thisOne: boolean
  own: boolean
}
/** A try at the door, or what the book says of it, as the owner sees it. */
export const DOOR_RECORDS = ['name_closed', 'shop_exported'] as const
export interface DoorView {
  atMs: Milliseconds
  kind: AttemptKind | (typeof DOOR_RECORDS)[number]
  signIn: string
  address: string
  known: boolean
  succeeded: boolean
}

export interface SessionView {
  needsSetup: boolean
  user: SignedIn | null
  station: StationView | null
  shopName: string | null
  zone: string
  nowMs: Milliseconds
  demoSignIns: { signIn: string; role: Role }[] | null
}
