import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { delimiter, join } from 'node:path'
import { at, ROOT } from './paths.mjs'
import { run } from './run.mjs'
import { Advice } from './steps.mjs'

const stampPath = at('node_modules', '.veldmoor-lock')
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(at('package-lock.json')))
    .digest('hex')

/** `npm ci` when the packages are missing or the lock file changed. */
export async function ensureNodePackages() {
  const hash = lockHash()
  if (existsSync(stampPath) && readFileSync(stampPath, 'utf8') === hash) return 'up to date'
  await run('npm', ['ci', '--no-progress'], { cwd: ROOT })
  writeFileSync(stampPath, hash)
  return 'installed'
}

/** Where a program is, looked for on the path and where Debian puts servers. */
export function whereIs(program) {
  const folders = [...(process.env.PATH ?? '').split(delimiter), '/usr/sbin', '/usr/bin', '/usr/local/bin']
  return folders.map(folder => join(folder, program)).find(existsSync) ?? null
}

/**
 * Installs Debian packages when a program they bring is missing; says what and why. Without the right to, says the
 * command.
 */
export async function ensureDebianPackages({ programs, packages, why }) {
  if (programs.every(whereIs)) return 'present'
  const install = ['install', '-y', '--no-install-recommends', ...packages]
  const sudo = process.getuid() === 0 ? [] : (await canSudo()) ? ['sudo', '-n'] : null
  const command = `apt-get update && apt-get ${install.join(' ')}`
  if (sudo === null) throw new Advice(`${why}. Ask for it to be installed, then try again:\n  sudo sh -c '${command}'`)
  console.log(`  installing ${packages.join(' ')}: ${why}`)
  const apt = args =>
    run([...sudo, 'apt-get'][0], [...sudo.slice(1), ...(sudo.length ? ['apt-get'] : []), ...args], {
      env: { DEBIAN_FRONTEND: 'noninteractive' },
    })
  await apt(['update', '-q'])
  await apt(['-q', ...install])
  return 'installed'
}

async function canSudo() {
  if (!whereIs('sudo')) return false
  return await run('sudo', ['-n', 'true']).then(
    () => true,
    () => false,
  )
}

export const ensureMariadb = () =>
  ensureDebianPackages({
    // The client's dump is among them: a back-up must not wait for a network.
    programs: ['mariadbd', 'mariadb-install-db', 'mariadb', 'mariadb-dump'],
    packages: ['mariadb-server-core', 'mariadb-client-core', 'mariadb-client'],
    why: 'MariaDB keeps the shop\'s records and writes its back-ups',
  })

export const ensureMariadbDump = () =>
  ensureDebianPackages({
    programs: ['mariadb-dump'],
    packages: ['mariadb-client'],
    why: 'mariadb-dump writes the back-up',
  })

export const ensureChromium = () =>
  ensureDebianPackages({
    programs: ['chromium'],
    packages: ['chromium'],
    why: 'the browser tests look at the pages in it',
  })
