import { dirname, join } from 'node:path'
import type { NitroApp } from 'nitropack'
import { closePool, openPool } from '../aside/pool'
import { loadDemo } from '../demo/load-demo'
import { missingMigrations } from '../db/setup/migrate'
import { refuseServer } from '../db/setup/refuse-server'
import { appState } from '../http/app-state'
import { beginClocks } from '../services/upgrade/begin-clocks'
import { judgeAfresh } from '../services/upgrade/judge-afresh'
import { lookAgain } from '../services/upgrade/look-again'

/**
 * Looks at the schema before the first answer, and loads the demo shop when asked for. Its times are printed for
 * the start command.
 */
async function open(): Promise<void> {
  const { store, settings } = appState()
  const timed = async (what: string, work: () => Promise<string>) => {
    const startedMs = performance.now()
    const outcome = await work()
    console.log(`${what}: ${outcome} (${((performance.now() - startedMs) / 1000).toFixed(1)} s)`)
  }
  await refuseServer(store.sequelize)
  const missing = await missingMigrations(store.sequelize)
  if (missing.length)
    throw new Error(`the schema lacks ${missing.join(', ')}: start with "npm start", which brings it up to date`)
  await lookAgain(store)
  await beginClocks(store, Date.now())
  if (settings.demo) await timed('demo shop', () => loadDemo(store, Date.now()))
}

/** While the shop is open already: what a newer version judges otherwise. */
async function byNewerRules(): Promise<void> {
  const { store, ready } = appState()
  await ready
  try {
    const lots = await judgeAfresh(store, Date.now, (ids, error) =>
      console.error(`lots ${ids.join(', ')} could not be judged afresh; they are tried again at the next start:`, error))
    if (lots > 0) console.log(`lots judged by the rules of this version: ${lots}`)
  }
  catch (error) {
    console.error('lots were not judged afresh; they are at the next start:', error)
  }
}

export default (nitro: NitroApp) => {
  const state = appState()
  state.ready = open()
  state.ready.catch((error: unknown) => {
    console.error('the shop could not be opened:', error)
    process.exit(1)
  })
  const judged = byNewerRules()
  openPool(join(dirname(process.argv[1]!), 'aside', 'worker.mjs'))
  nitro.hooks.hook('close', async () => {
    await judged
    await Promise.all([closePool(), state.store.close()])
  })
}
