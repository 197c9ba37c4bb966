import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startApp } from '../app-server.mjs'
import { growShop } from '../grow/grow-shop.mjs'
import { connectAsOwner } from '../grow/tables.mjs'
import { startMariadb } from '../mariadb.mjs'
import { prepare } from '../prepare.mjs'
import { freePort } from '../processes.mjs'
import { person } from './person.mjs'

const READINGS_A_RUN = 400
const LONG_RUN_READINGS = 50_000
const STALLS = new URL('./stalls.mjs', import.meta.url).href

/** Resident memory of a process in MB, now or at its highest. */
export const memoryMb = (pid, what = 'VmRSS') =>
  Math.round(Number(new RegExp(`${what}:\\s+(\\d+)`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024)

/**
 * A grown shop with a database and an application of its own, and its owner signed in. `close()` stops and removes it
 * all; what is half open when something fails is closed too.
 */
export async function openGrownShop(entry, lots) {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-pages-'))
  const database = await startMariadb(join(folder, 'db'), { durable: false })
  let [app, owner, who] = [null, null, null]
  /** Stretches in which the application answered nobody, ms, since they were last taken. */
  let stalls = []
  async function close() {
    who?.close()
    await owner?.end()
    await app?.stop()
    await database.stop()
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  }
  try {
    await prepare(database)
    await growShop({ ...database, lots, readingsARun: READINGS_A_RUN, longRun: LONG_RUN_READINGS })
    owner = await connectAsOwner(database.adminUrl)
    app = await startApp({
      entry,
      port: await freePort(),
      databaseUrl: database.url,
      sessionSecret: 'b'.repeat(40),
      env: { DEMO: '1', NODE_OPTIONS: `--import ${STALLS}` },
      onLine: (line) => {
        const [, stalledMs] = /^stalled (\d+)$/.exec(line) ?? []
        if (stalledMs) stalls.push(Number(stalledMs))
      },
    })
    who = await person(app.address)
    return {
      lots,
      folder,
      app,
      owner,
      who,
      statements: async () => Number((await owner.query('SHOW GLOBAL STATUS LIKE \'Questions\''))[0].Value),
      takeStalls: () => stalls.splice(0),
      close,
    }
  }
  catch (error) {
    await close()
    throw error
  }
}
