import { z } from 'zod'
import { isZone } from '#core/calendar/local-day'
import type { Notation } from '#core/units/format'
import { decimal, isoDate, name } from './fields'

export const ROLES = ['owner', 'maker', 'inspector'] as const
export type Role = (typeof ROLES)[number]

const LEAST_PASSWORD = 10
export const signInName = () => z.string().trim().toLowerCase().min(2, { error: 'too_short' }).max(64)
  .regex(/^[a-z0-9._@-]+$/, { error: 'sign_in_letters' })
const password = () => z.string().min(LEAST_PASSWORD, { error: 'password_short' }).max(200)

export const signInInput = z.strictObject({ signIn: z.string().trim().toLowerCase().min(1, { error: 'empty' }).max(64), password: z.string().min(1, { error: 'empty' }).max(200) })

export const notationInput = z.strictObject({
  mass: z.enum(['metric', 'us']), temperature: z.enum(['C', 'F']),
  decimal: z.enum(['.', ',']), dates: z.enum(['dmy', 'mdy', 'iso']),
}) satisfies z.ZodType<Notation>

export const personInput = z.strictObject({
  name: name(), initials: name(4), signIn: signInName(), password: password(), role: z.enum(ROLES),
})

export const setupInput = z.strictObject({
  shopName: name(), zone: z.string().max(64).refine(isZone, { error: 'unknown_zone' }),
  owner: personInput.omit({ role: true }),
})

export const rulesConfirmationInput = z.strictObject({ confirmedBy: name(), confirmedOn: isoDate(), reference: name(250) })
export const scaleInput = z.strictObject({ name: name(), purpose: z.enum(['meat', 'mix']), readabilityG: decimal(0.001, 1000) })

export interface SignedIn {
  id: number
  name: string
  initials: string
  role: Role
  notation: Notation
}

export interface SessionView { needsSetup: boolean, user: SignedIn | null, shopName: string | null, zone: string, nowMs: number, demoSignIns: { signIn: string, role: Role }[] | null }
