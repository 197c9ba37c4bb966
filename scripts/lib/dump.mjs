import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream, mkdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { dirname } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { whereIs } from './packages.mjs'
import { Advice } from './steps.mjs'

export const databaseOf = adminUrl => decodeURIComponent(new URL(adminUrl).pathname.slice(1))

/**
 * A client program on the database of an address; the password goes by the environment, where `ps` does not show it.
 */
function client(program, adminUrl, args) {
  const { hostname, port, username, password, searchParams } = new URL(adminUrl)
  // The encrypted line as the application asks for it, see server/db/line/tls.ts.
  const tls = searchParams.get('tls')
  const encrypted = tls === null ? [] : ['--ssl', '--ssl-verify-server-cert', ...(tls === 'system' ? [] : [`--ssl-ca=${tls}`])]
  const child = spawn(
    whereIs(program),
    [
      '--no-defaults',
      `--host=${hostname}`,
      `--port=${port || 3306}`,
      '--protocol=tcp',
      ...encrypted,
      `--user=${decodeURIComponent(username)}`,
      '--default-character-set=utf8mb4',
      '--max-allowed-packet=256M',
      ...args,
    ],
    { stdio: ['pipe', 'pipe', 'pipe'], env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) } },
  )
  let said = ''
  child.stderr.on('data', chunk => (said = (said + chunk).slice(-3000)))
  const ended = new Promise((resolve, reject) => {
    child.on('error', reject)
    child.on('exit', code => (code === 0 ? resolve() : reject(new Error(`${program} ended with ${code}: ${said}`))))
  })
  return { child, ended }
}

/** The last line of a whole dump: one that was cut short lacks it. */
const COMPLETE = '-- Dump completed'

function tailWatch() {
  let tail = ''
  const watch = new Transform({
    transform(chunk, _encoding, done) {
      tail = (tail + chunk.toString('latin1')).slice(-200)
      done(null, chunk)
    },
  })
  return { watch, complete: () => tail.includes(COMPLETE) }
}

const sha256Of = async (path) => {
  const hash = createHash('sha256')
  await pipeline(createReadStream(path), hash)
  return hash.digest('hex')
}

/** Writes the whole database, as it stands at one moment while the shop goes on, into a compressed file. */
export async function dumpTo(adminUrl, path) {
  mkdirSync(dirname(path), { recursive: true })
  const half = `${path}.part`
  const { child, ended } = client('mariadb-dump', adminUrl, [
    '--single-transaction',
    '--quick',
    '--hex-blob',
    '--skip-lock-tables',
    '--no-tablespaces',
    '--skip-triggers',
    databaseOf(adminUrl),
  ])
  child.stdin.end()
  const { watch, complete } = tailWatch()
  try {
    await Promise.all([pipeline(child.stdout, watch, createGzip(), createWriteStream(half, { mode: 0o600 })), ended])
    if (!complete()) throw new Error('the dump ended before its end')
    renameSync(half, path)
  }
  catch (error) {
    rmSync(half, { force: true })
    if (error.code === 'ENOSPC')
      throw new Advice(
        `The disk is full: no back-up was written to ${path}. Nothing was changed. Make room, or name another place.`,
      )
    throw error
  }
  return { bytes: statSync(path).size, sha256: await sha256Of(path) }
}

/** Refuses a file that is no whole dump before anything is touched. */
export async function checkDump(path) {
  const { watch, complete } = tailWatch()
  watch.resume()
  await pipeline(createReadStream(path), createGunzip(), watch).catch((error) => {
    throw new Advice(`${path} cannot be read as a back-up (${error.message}). Nothing was changed.`)
  })
  if (!complete()) throw new Advice(`${path} is not a whole back-up: its end is missing. Nothing was changed.`)
}

/** Loads a dump into a database. What the client says about a bad statement is the reason that is given. */
export async function loadFrom(adminUrl, path) {
  // Whatever the server's own mode: the dump's quotes mean what they say. Its writer sets that itself.
  const { child, ended } = client('mariadb', adminUrl, [
    '--init-command=SET SESSION sql_mode=\'NO_ENGINE_SUBSTITUTION\'',
    databaseOf(adminUrl),
  ])
  child.stdout.resume()
  const piped = pipeline(createReadStream(path), createGunzip(), child.stdin)
  const [sent, done] = await Promise.allSettled([piped, ended])
  for (const one of [done, sent]) if (one.status === 'rejected') throw one.reason
}
