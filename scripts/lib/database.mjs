import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { startMariadb, urlsOf } from './mariadb.mjs'
import { ensureMariadb, ensureNodePackages } from './packages.mjs'
import { at, stateFolder } from './paths.mjs'
import { livingPid } from './processes.mjs'
import { Advice } from './steps.mjs'

/** Which database a command is about: `--demo`, DATABASE_ADMIN_URL, or the shop's private one. */
export function whichDatabase(argv) {
  if (existsSync(at('.env'))) process.loadEnvFile(at('.env'))
  if (argv.includes('--demo')) return { folder: join(stateFolder(), 'demo') }
  if (process.env.DATABASE_URL) {
    const adminUrl = process.env.DATABASE_ADMIN_URL
    if (!adminUrl)
      throw new Advice(
        'With DATABASE_URL set, DATABASE_ADMIN_URL is needed too: the user who owns the database. .env.example shows how.',
      )
    return { urls: { adminUrl, url: process.env.DATABASE_URL } }
  }
  return { folder: join(stateFolder(), 'shop') }
}

/**
 * Works on the database, running or not: a private one that rests is started for the work and stopped after it.
 * `resting` refuses one that a shop is using; `create` makes one that is not there yet.
 */
export async function withDatabase(argv, work, { resting = false, create = false } = {}) {
  await ensureNodePackages()
  const { folder, urls } = whichDatabase(argv)
  if (urls) return await work(urls)
  if (!create && !existsSync(join(folder, 'installed')))
    throw new Advice(`There is no shop in ${folder} yet. Start it once, or name another with VELDMOOR_FOLDER.`)
  const lock = livingPid(join(folder, 'lock'), 'scripts/')
  if (resting && lock !== null)
    throw new Advice(`The shop is running (process ${lock}). Stop it first, with Ctrl-C or: kill ${lock}`)
  const dataDir = join(folder, 'data')
  const portFile = join(folder, 'port')
  if (livingPid(join(folder, 'mariadb.pid'), dataDir) !== null && existsSync(portFile)) {
    return await work(await urlsOf(folder, Number(readFileSync(portFile, 'utf8'))))
  }
  await ensureMariadb()
  const database = await startMariadb(folder)
  try {
    return await work(database)
  }
  finally {
    await database.stop()
  }
}
