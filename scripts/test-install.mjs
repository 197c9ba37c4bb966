import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuild } from './lib/build.mjs'
import { startMariadb } from './lib/mariadb.mjs'
import { ensureMariadb, ensureNodePackages } from './lib/packages.mjs'
import { main, step } from './lib/steps.mjs'
import { counting, printSlowest, suite } from './lib/suite.mjs'

/** How it is set up, moved and brought up to date: a fresh clone, hostile ground, the commands, other versions' shops. */
await main(async () => {
  console.log('Veldmoor, tests of setting it up')
  const reports = mkdtempSync(join(tmpdir(), 'veldmoor-install-'))
  const { count, conclude } = counting()
  await step('packages', ensureNodePackages)
  await step('MariaDB', ensureMariadb)
  const { entry } = await step('build', ensureBuild)
  const database = await step('throwaway database', () => startMariadb(join(reports, 'db'), { durable: false }))
  try {
    const env = {
      REPORTS: reports,
      TEST_DATABASE_URL: database.url,
      TEST_ADMIN_URL: database.adminUrl,
      TEST_APP_ENTRY: entry,
    }
    count(await step('install tests', () => suite('install', env)))
  }
  finally {
    await database.stop()
    printSlowest(reports, ['install'])
    rmSync(reports, { recursive: true, force: true })
  }
  conclude()
})
