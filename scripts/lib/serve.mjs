import { mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { startApp } from './app-server.mjs'
import { ensureBuild } from './build.mjs'
import { startMariadb } from './mariadb.mjs'
import { ensureMariadb, ensureNodePackages } from './packages.mjs'
import { livingPid, portIsTaken, stopLeftover, takeLock } from './processes.mjs'
import { at, stateFolder } from './paths.mjs'
import { prepare } from './prepare.mjs'
import { Advice, step } from './steps.mjs'

const USUAL_PORT = 4750
const ENDED_BY_ITSELF = 'a server ended by itself'

/** `--port N` and `--fresh`; PORT from the environment is the other way. */
export function readOptions(argv, env = process.env) {
  const flag = argv.indexOf('--port')
  const port = Number(flag >= 0 ? argv[flag + 1] : (env.PORT || USUAL_PORT))
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

/** Holds the start command up until a signal, or until one of its servers ends by itself. */
async function untilStopped(stop, servers) {
  while (stop.why === null) {
    await new Promise((resolve) => {
      stop.wake = resolve
      setTimeout(resolve, 500)
    })
    if (servers.some(server => !server.isRunning())) stop.why ??= ENDED_BY_ITSELF
  }
}

/** From packages to a running shop, then waits. `name` is the folder under .veldmoor/ and the lock. */
export async function serve({ name, demo, options, databaseUrl = null, adminUrl = null, sessionSecret = null, announce }) {
  const folder = join(stateFolder(), name)
  mkdirSync(folder, { recursive: true })
  const lock = join(folder, 'lock')
  const holder = takeLock(lock, 'scripts/')
  if (holder !== null) throw new Advice(`It is running already (process ${holder}). Stop that one first, with Ctrl-C or: kill ${holder}`)
  const servers = []
  const stop = listenForStop()
  let starting = null
  try {
    await step('packages', ensureNodePackages)
    if (!databaseUrl) await step('MariaDB', ensureMariadb)
    const appPid = join(folder, 'app.pid')
    await stopLeftover(appPid, at('.output'))
    if (options.fresh && !databaseUrl) {
      await stopLeftover(join(folder, 'mariadb.pid'), join(folder, 'data'))
      for (const part of ['data', 'installed', 'secrets.json']) rmSync(join(folder, part), { recursive: true, force: true })
    }
    if (await portIsTaken(options.port)) throw new Advice(`Port ${options.port} is taken by another program. Choose one with --port N.`)
    starting = databaseUrl ? null : startMariadb(folder).then((db) => { servers.push(db); return db })
    // Building may take a minute: a database that fails meanwhile is reported by its own step.
    starting?.catch(() => {})
    const build = await step('build', ensureBuild)
    const database = starting && await step('database', () => starting)
    // Without the owner's address, another process has brought the schema up to date, or the application says what it lacks.
    if (database || adminUrl) await step('schema', () => prepare(database ?? { adminUrl, url: databaseUrl }))
    const app = await step('application', async () => {
      const started = await startApp({
        entry: build.entry, port: options.port, databaseUrl: databaseUrl ?? database.url, sessionSecret: sessionSecret ?? database?.sessionSecret,
        demo, pidFile: appPid, onLine: showLine,
      })
      servers.unshift(started)
      return started
    })
    if (stop.why === null) {
      announce(app.address)
      await untilStopped(stop, servers)
    }
  }
  finally {
    if (stop.why) console.log(`\n  ${stop.why}: stopping`)
    // A database that was still starting is stopped too.
    await Promise.allSettled([starting])
    for (const server of servers) await server.stop()
    if (livingPid(lock, 'scripts/') === process.pid) rmSync(lock, { force: true })
  }
  if (stop.why === ENDED_BY_ITSELF) process.exitCode = 1
}
