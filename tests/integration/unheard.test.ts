import { spawn, type ChildProcess } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { freePort, until } from '../../scripts/lib/processes.mjs'
import { freshDatabase, type FreshDatabase } from '../support/database'
import { setting } from '../support/setting'

let database: FreshDatabase
let app: ChildProcess
let address: string
const ANSWERS_WITHIN_MS = 60_000
/** What is printed when it is told to. */
const SAYS = `--import data:text/javascript,${encodeURIComponent('process.on("SIGUSR2",()=>console.error(new Error("said")))')}`

beforeAll(async () => {
  database = await freshDatabase()
  const port = String(await freePort())
  address = `http://127.0.0.1:${port}`
  app = spawn(process.execPath, [setting('TEST_APP_ENTRY')], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: port,
      PORT: port,
      DATABASE_URL: database.url,
      SESSION_SECRET: 'n'.repeat(40),
      NODE_OPTIONS: SAYS,
    },
  })
  await until(() => fetch(`${address}/api/health`).then(reply => reply.ok, () => false), ANSWERS_WITHIN_MS)
})
afterAll(async () => {
  app.kill('SIGKILL')
  await database.drop()
})

/** Hundredths of a second that the process worked so far. */
const worked = (): number =>
  readFileSync(`/proc/${app.pid}/stat`, 'utf8').split(') ')[1]!.split(' ').slice(11, 13).reduce((sum, ticks) => sum + Number(ticks), 0)
const sleep = (ms: number) => new Promise(done => setTimeout(done, ms))

it('a server whose printing nobody reads any more goes on serving, and does nothing else', async () => {
  app.stdout!.destroy()
  app.stderr!.destroy()
  for (let n = 0; n < 3; n++) {
    app.kill('SIGUSR2')
    await sleep(300)
  }
  const before = worked()
  await sleep(2000)
  expect(worked() - before).toBeLessThan(30)
  expect((await fetch(`${address}/api/health`)).status).toBe(200)
})
