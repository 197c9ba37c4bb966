import { mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { APPLICATION_USER, isRoot, systemUser, userReaches } from './accounts.mjs'
import { startApp } from './app-server.mjs'
import { ensureBuild } from './build.mjs'
import { keepRunning } from './keep-running.mjs'
import { startMariadb } from './mariadb.mjs'
import { ensureMariadb, ensureNodePackages } from './packages.mjs'
import { livingPid, portIsTaken, stopLeftover, takeLock } from './processes.mjs'
import { at, stateFolder } from './paths.mjs'
import { prepare } from './prepare.mjs'
import { Advice, step } from './steps.mjs'

const USUAL_PORT = 4750

/** `--port N` and `--fresh`; PORT from the environment is the other way. */
export function readOptions(argv, env = process.env) {
  const flag = argv.indexOf('--port')
  const port = Number(flag >= 0 ? argv[flag + 1] : env.PORT || USUAL_PORT)
  if (!Number.isInteger(port) || port < 1 || port > 65_535) throw new Advice('--port wants a number from 1 to 65535.')
  return { port, fresh: argv.includes('--fresh') }
}

/** The application's own lines: its opening steps in our columns, the rest as they are. */
function showLine(line) {
  const opening = /^(demo shop): (.*) \(([\d.]+ s)\)$/.exec(line)
  if (opening) console.log(`  ${opening[1].padEnd(22)} ${opening[2]}, ${opening[3]}`)
  else if (!/^Listening on/.test(line)) console.log(`  ${line}`)
}

const SIGNALS = ['SIGINT', 'SIGTERM', 'SIGHUP']

/** Remembers the first signal; later ones change nothing, because stopping has begun and must come to its end. */
function listenForStop() {
  const stop = { why: null, wake: () => {} }
  for (const signal of SIGNALS) {
    process.on(signal, () => {
      stop.why ??= signal
      stop.wake()
    })
  }
  return stop
}

/**
 * Whom the application runs as: as root a user of its own. Made-up data may run as root where that user cannot read the
 * program; a shop may not.
 */
async function applicationUser(entry, demo) {
  if (!isRoot()) return null
  const user = await systemUser(APPLICATION_USER)
  if ((await userReaches(user.name, '-r', entry)) && (await userReaches(user.name, '-x', process.execPath))) return user
  if (process.env.VELDMOOR_AS_ROOT === '1') return null
  if (demo) {
    console.log(
      `  The demo runs as root: its own user (${user.name}) cannot read ${entry}. A real shop asks for a folder that every user may read.`,
    )
    return null
  }
  throw new Advice(
    `The application is not run as root, and its own user (${user.name}) cannot read ${entry}. `
    + 'Put the program where every user may read it, /srv say, or start it as an ordinary user. '
    + 'In a container that holds nothing else, VELDMOOR_AS_ROOT=1 runs it as root all the same.',
  )
}

/**
 * Runs a shop, from packages to its first page, then waits. `name` is the folder under .veldmoor/ and the lock; `fill`
 * puts something into a new one.
 */
export async function serve({
  name,
  demo,
  options,
  databaseUrl = null,
  adminUrl = null,
  sessionSecret = null,
  env = {},
  fill = null,
  announce,
}) {
  const folder = join(stateFolder(), name)
  mkdirSync(folder, { recursive: true })
  const lock = join(folder, 'lock')
  const holder = takeLock(lock, 'scripts/')
  if (holder !== null)
    throw new Advice(`It is running already (process ${holder}). Stop that one first, with Ctrl-C or: kill ${holder}`)
  const keepers = []
  const stop = listenForStop()
  let starting = null
  try {
    await step('packages', ensureNodePackages)
    if (!databaseUrl) await step('MariaDB', ensureMariadb)
    const appPid = join(folder, 'app.pid')
    await stopLeftover(appPid, at('.output'))
    if (options.fresh && !databaseUrl) {
      await stopLeftover(join(folder, 'mariadb.pid'), join(folder, 'data'))
      for (const part of ['data', 'installed', 'private', 'secrets.json'])
        rmSync(join(folder, part), { recursive: true, force: true })
    }
    if (await portIsTaken(options.port))
      throw new Advice(`Port ${options.port} is taken by another program. Choose one with --port N.`)
    starting = databaseUrl ? null : startMariadb(folder)
    // Building may take a minute: a database that fails meanwhile is reported by its own step.
    starting?.catch(() => {})
    const build = await step('build', ensureBuild)
    const database = starting && (await step('database', () => starting))
    if (database)
      keepers.push({ name: 'MariaDB', server: database, start: () => startMariadb(folder, { port: database.port }) })
    // Where the owner's address is missing, another process has brought the schema up to date, or the application says
    // what it lacks.
    if (database || adminUrl) await step('schema', () => prepare(database ?? { adminUrl, url: databaseUrl }))
    if (fill && database) await step('years', () => fill(database))
    const user = await applicationUser(build.entry, demo)
    const start = () =>
      startApp({
        entry: build.entry,
        port: options.port,
        databaseUrl: databaseUrl ?? database.url,
        sessionSecret: sessionSecret ?? database?.sessionSecret,
        demo,
        user,
        pidFile: appPid,
        onLine: showLine,
        env: { ...env, ...(database ? { DATA_FOLDER: folder } : {}) },
      })
    const app = await step('application', start)
    keepers.unshift({ name: 'The application', server: app, start })
    if (stop.why === null) {
      announce(app.address)
      await keepRunning(keepers, stop, line => console.log(`  ${new Date().toISOString()} ${line}`))
    }
  }
  finally {
    if (stop.why) console.log(`\n  ${stop.why}: stopping`)
    // A database that was still starting is stopped too.
    const [begun] = await Promise.allSettled([starting])
    for (const { server } of keepers) await server.stop()
    if (begun.status === 'fulfilled' && begun.value && !keepers.some(({ server }) => server === begun.value))
      await begun.value.stop()
    if (livingPid(lock, 'scripts/') === process.pid) rmSync(lock, { force: true })
  }
}
