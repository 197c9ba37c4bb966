import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { ensureBuild } from './lib/build.mjs'
import { checks } from './lib/checks.mjs'
import { onLanes } from './lib/lanes.mjs'
import { startMariadb } from './lib/mariadb.mjs'
import { environmentAt } from './lib/other-hour.mjs'
import { ensureChromium, ensureMariadb, ensureNodePackages } from './lib/packages.mjs'
import { main, step } from './lib/steps.mjs'
import { counting, printSlowest, suite } from './lib/suite.mjs'

const [BUILD, DATABASE] = ['build', 'throwaway database']
/** Lanes: none reads what another writes, and what one waits for, another works in. */
const LANES = 3

/** `--at 23:50`, `--at "2027-03-14 07:30"`: everything is tried at that hour, UTC. */
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
    const build = { name: BUILD, run: () => step(BUILD, ensureBuild) }
    if (hour) {
      await build.run()
      Object.assign(process.env, await step(`clock at ${hour} UTC`, () => environmentAt(hour)))
    }
    const settings = { REPORTS: reports }
    const open = async () => {
      const { entry } = await ensureBuild()
      database = await step(DATABASE, () => startMariadb(join(reports, 'db'), { durable: false }))
      Object.assign(settings, { TEST_DATABASE_URL: database.url, TEST_ADMIN_URL: database.adminUrl, TEST_APP_ENTRY: entry })
    }
    const tests = (project, after = []) => {
      const name = `${project} tests`
      return { name, after, run: async () => count(await step(name, () => suite(project, settings))) }
    }
    // In a clone that was never tested the build goes first, and what needs none beside it.
    await onLanes(LANES, [
      build,
      { name: DATABASE, after: [BUILD], run: open },
      tests('browser', [DATABASE]),
      tests('integration', [DATABASE]),
      ...checks.map(one => ({ ...one, run: () => check(one) })),
      tests('unit'),
    ])
  }
  finally {
    await database?.stop()
    printSlowest(reports, ['unit', 'integration', 'browser'])
    // A browser of a worker that was ended may write its last.
    rmSync(reports, { recursive: true, force: true, maxRetries: 5 })
  }
  conclude()
})
