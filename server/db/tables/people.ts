import type { Notation } from '#core/units/format'
import type { Role } from '#shared/contracts/people'
import { bool, day, decimal, grams, instant, json, nullable, text } from '../column'
import { tableSpec } from '../table'

export const shops = tableSpec('shops', {
  name: text(), zone: text(64), ruleSetId: text(32), houseTargetPpm: decimal(8, 3),
  turnEveryDays: decimal(3, 1), turnBy: text(5),
  rulesConfirmedBy: nullable(text()), rulesConfirmedOn: nullable(day()), rulesReference: nullable(text()),
})

export const users = tableSpec('users', {
  signIn: text(64), name: text(), initials: text(8), role: text<Role>(16), passwordHash: text(),
  notation: json<Notation>(), active: bool(),
})

export const signInAttempts = tableSpec('sign_in_attempts', {
  signIn: text(64), address: text(64), atMs: instant(), succeeded: bool(),
})

export const scales = tableSpec('scales', { name: text(), purpose: text<'meat' | 'mix'>(8), readabilityG: grams() })
