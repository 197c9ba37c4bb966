import { checks } from './lib/checks.mjs'
import { onLanes } from './lib/lanes.mjs'
import { ensureNodePackages } from './lib/packages.mjs'
import { ROOT } from './lib/paths.mjs'
import { run } from './lib/run.mjs'
import { main, step } from './lib/steps.mjs'

/** Lanes for two cores: more jobs beside each other only wait for each other. */
const LANES = 2
const unit = {
  name: 'unit tests',
  run: () => run('npx', ['vitest', 'run', '--project', 'unit'], { cwd: ROOT, env: { FORCE_COLOR: '0' } }),
}

/** The quick look before a commit: no database, no browser. */
await main(async () => {
  await step('packages', ensureNodePackages)
  const jobs = [unit, ...checks]
  await onLanes(LANES, jobs.map(job => ({ ...job, run: () => step(job.name, () => job.run().then(() => 'clean')) })))
})
