import { randomBytes } from 'node:crypto'
import {
  chmodSync,
  closeSync,
  constants,
  existsSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { takeBack } from './accounts.mjs'

const secret = bytes => randomBytes(bytes).toString('hex')

/** Writes a file for its owner alone, never through a link that somebody laid. */
function writePrivate(path, text) {
  const file = openSync(path, constants.O_WRONLY | constants.O_CREAT | constants.O_TRUNC | constants.O_NOFOLLOW, 0o600)
  try {
    writeFileSync(file, text)
  }
  finally {
    closeSync(file)
  }
  chmodSync(path, 0o600)
}

/** The folder that nobody but us may look into: passwords, and what a first visit has to know. */
export async function privateFolder(folder) {
  const path = join(folder, 'private')
  mkdirSync(path, { recursive: true, mode: 0o700 })
  await takeBack(path)
  chmodSync(path, 0o700)
  return path
}

/** Passwords and such, made once. */
export async function secretsIn(folder) {
  const path = join(await privateFolder(folder), 'secrets.json')
  // Where they lay until 0.3.0: beside the data.
  const before = join(folder, 'secrets.json')
  if (existsSync(before) && !existsSync(path)) renameSync(before, path)
  if (existsSync(path)) await takeBack(path)
  const known = existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : {}
  const secrets = { databasePassword: secret(24), adminPassword: secret(24), sessionSecret: secret(32), ...known }
  writePrivate(path, JSON.stringify(secrets))
  return secrets
}

const ALPHABET = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'
/** A code that is read off a terminal and typed once: 40 bits, no letter like a digit. */
export const newSetupCode = () =>
  [...randomBytes(8)]
    .map(byte => ALPHABET[byte % ALPHABET.length])
    .join('')
    .replace(/(.{4})/, '$1-')
