import { checks, prepare } from './lib/checks.mjs'
import { ensureNodePackages } from './lib/packages.mjs'
import { ROOT } from './lib/paths.mjs'
import { run } from './lib/run.mjs'
import { main, step } from './lib/steps.mjs'

/** The quick look before a commit: no database, no browser. */
await main(async () => {
  await step('packages', ensureNodePackages)
  for (const check of [prepare, ...checks]) await step(check.name, () => check.run().then(() => 'clean'))
  await step('unit tests', () =>
    run('npx', ['vitest', 'run', '--project', 'unit'], { cwd: ROOT, env: { FORCE_COLOR: '0' } }).then(() => 'passed'),
  )
})
