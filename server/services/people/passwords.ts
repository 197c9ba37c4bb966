import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto'

/** OWASP Password Storage Cheat Sheet (2025): scrypt with N = 2^17, r = 8, p = 1. */
const COST = { N: 2 ** 17, r: 8, p: 1 }
const KEY_BYTES = 64
const SALT_BYTES = 16
/** How many run at once: each takes 128 MB while it runs, the others wait. */
const AT_ONCE = 2

let running = 0
const waiting: (() => void)[] = []

async function derive(password: string, salt: Buffer, { N, r, p }: typeof COST, bytes: number): Promise<Buffer> {
  if (running >= AT_ONCE) await new Promise<void>(resolve => waiting.push(resolve))
  running += 1
  try {
    const options: ScryptOptions = { N, r, p, maxmem: 256 * N * r }
    return await new Promise((resolve, reject) =>
      scrypt(password, salt, bytes, options, (error, key) => (error ? reject(error) : resolve(key))),
    )
  }
  finally {
    running -= 1
    waiting.shift()?.()
  }
}

const base64 = (bytes: Buffer): string => bytes.toString('base64').replace(/=+$/, '')
const PHC = /^\$scrypt\$n=(\d+),r=(\d+),p=(\d+)\$([A-Za-z0-9+/]+)\$([A-Za-z0-9+/]+)$/

/** A hash in the PHC string format, its cost beside it. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES)
  return `$scrypt$n=${COST.N},r=${COST.r},p=${COST.p}$${base64(salt)}$${base64(await derive(password, salt, COST, KEY_BYTES))}`
}

/** True when the password is the one that was hashed, at whatever cost that was. False for what is no hash. */
export async function verifyPassword(hash: string, password: string): Promise<boolean> {
  const [, n, r, p, salt, key] = PHC.exec(hash) ?? []
  if (!salt || !key) return false
  const wanted = Buffer.from(key, 'base64')
  return timingSafeEqual(
    await derive(password, Buffer.from(salt, 'base64'), { N: Number(n), r: Number(r), p: Number(p) }, wanted.length),
    wanted,
  )
}

/** True for a hash of less than today's cost: it is made anew when the password is next given. */
export const isOutdated = (hash: string): boolean => Number(PHC.exec(hash)?.[1] ?? 0) < COST.N
