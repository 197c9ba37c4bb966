import type { Milliseconds } from '#core/units/quantities'
import { randomBytes } from 'node:crypto'
import { Secret, TOTP } from 'otpauth'
import { sha256 } from '../../digest/sha256'

export const PERIOD_S = 30
const DIGITS = 6
/** Clocks of phones and shops differ: one step either way. */
const WINDOW = 1
const SECRET_BYTES = 20
const RECOVERY_CODES = 8
const RECOVERY_LENGTH = 16

const totp = (secret: string, label: string, issuer: string): TOTP =>
  new TOTP({ issuer, label, secret: Secret.fromBase32(secret), digits: DIGITS, period: PERIOD_S })

/** A new secret, and the address that an authenticator reads off a picture. Source: RFC 6238. */
export function newSecret(label: string, shop: string): { secret: string; uri: string } {
  const secret = new Secret({ size: SECRET_BYTES }).base32
  return { secret, uri: totp(secret, label, shop).toString() }
}

/** The step that a code belongs to, or null when it fits none now. */
export function timeStepOf(secret: string, code: string, nowMs: Milliseconds): number | null {
  const delta = totp(secret, '', '').validate({ token: code, timestamp: nowMs, window: WINDOW })
  return delta === null ? null : Math.floor(nowMs / 1000 / PERIOD_S) + delta
}

const ALPHABET = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'

/** Codes for a day without the phone, each good once: 80 bits, so that their plain hashes give nothing away. */
export const newRecoveryCodes = (): string[] =>
  Array.from({ length: RECOVERY_CODES }, () =>
    [...randomBytes(RECOVERY_LENGTH)]
      .map(byte => ALPHABET[byte % ALPHABET.length]!)
      .join('')
      .replace(/(.{4})(?=.)/g, '$1-'),
  )

const plain = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '')
/** True for a code as long as a recovery code is, not as one of now. */
export const isRecoveryCode = (code: string): boolean => plain(code).length === RECOVERY_LENGTH
export const recoveryHash = (code: string): string => sha256(plain(code))
