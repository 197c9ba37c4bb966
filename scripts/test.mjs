import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { ensureBuild } from './lib/build.mjs'
import { checks, prepare } from './lib/checks.mjs'
import { startMariadb } from './lib/mariadb.mjs'
import { environmentAt } from './lib/other-hour.mjs'
import { ensureChromium, ensureMariadb, ensureNodePackages } from './lib/packages.mjs'
import { main, step } from './lib/steps.mjs'
import { counting, printSlowest, suite } from './lib/suite.mjs'

/** `--at 23:50`: everything is tried at that hour, UTC. */
const { at: hour } = parseArgs({ options: { at: { type: 'string' } } }).values
await main(async () => {
  console.log('Veldmoor, all tests')
  const reports = mkdtempSync(join(tmpdir(), 'veldmoor-test-'))
  /** @type {Awaited<ReturnType<typeof startMariadb>> | null} */
  let database = null
  const { count, conclude } = counting()
  const check = async (one) => {
    const outcome = await step(one.name, () =>
      one.run().then(
        () => 'clean',
        (error) => {
          console.error(error.message)
          return 'faults found'
        },
      ),
    )
    count(outcome === 'clean' ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 })
  }
  try {
    await step('packages', ensureNodePackages)
    await step('MariaDB', ensureMariadb)
    await step('Chromium', ensureChromium)
    // Two lanes, for two cores; neither reads what the other writes. The build comes first, as in a clone that was
    // never tested.
    const built = step('build', ensureBuild)
    const prepared = built.then(async ({ entry }) => {
      if (hour) Object.assign(process.env, await step(`clock at ${hour} UTC`, () => environmentAt(hour)))
      database = await step('throwaway database', () => startMariadb(join(reports, 'db'), { durable: false }))
      return {
        REPORTS: reports,
        TEST_DATABASE_URL: database.url,
        TEST_ADMIN_URL: database.adminUrl,
        TEST_APP_ENTRY: entry,
      }
    })
    const lanes = await Promise.allSettled([
      (async () => {
        const env = await prepared
        count(await step('browser tests', () => suite('browser', env)))
        count(await step('unit tests', () => suite('unit', { REPORTS: reports })))
      })(),
      (async () => {
        for (const one of [prepare, ...checks]) await check(one)
        const env = await prepared
        count(await step('integration tests', () => suite('integration', env)))
      })(),
    ])
    for (const lane of lanes) if (lane.status === 'rejected') throw lane.reason
  }
  finally {
    await database?.stop()
    printSlowest(reports, ['unit', 'integration', 'browser'])
    rmSync(reports, { recursive: true, force: true })
  }
  conclude()
})
