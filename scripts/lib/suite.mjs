import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { run } from './run.mjs'
import { readSummary } from './summary.mjs'
import { at, ROOT } from './paths.mjs'

const SLOWEST_SHOWN = 10

/** Where a project's files say how long they took. */
const slowestOf = (reports, project) => join(reports, `${project}-slowest.json`)

/** Runs one project of tests; its failures are printed whole, its counts returned. `env.REPORTS`: a folder for reports. */
export async function suite(project, env) {
  const report = join(env.REPORTS, `${project}.json`)
  const reporters = ['default', 'json', at('scripts/lib/slowest-reporter.mjs')].map(name => `--reporter=${name}`)
  const failed = await run('npx', ['vitest', 'run', '--project', project, ...reporters, `--outputFile.json=${report}`], {
    cwd: ROOT,
    env: { ...env, FORCE_COLOR: '0', SLOWEST: slowestOf(env.REPORTS, project) },
  }).then(
    () => null,
    error => error,
  )
  const counts = readSummary(report)
  if (failed) console.error(failed.message)
  for (const failure of counts.failures) console.error(`  FAILED ${failure}`)
  return {
    ...counts,
    failed: Math.max(counts.failed, failed ? 1 : 0),
    words: `${counts.passed} passed, ${counts.failed} failed`,
  }
}

/** Prints the files of those projects that took longest, each with what it opened and closed. */
export function printSlowest(reports, projects) {
  const files = projects
    .map(project => slowestOf(reports, project))
    .filter(existsSync)
    .flatMap(path => JSON.parse(readFileSync(path, 'utf8')))
    .toSorted((a, b) => b.ms - a.ms)
  console.log('\nThe slowest files:')
  for (const { file, ms } of files.slice(0, SLOWEST_SHOWN)) console.log(`  ${(ms / 1000).toFixed(1).padStart(6)} s  ${file}`)
}

/** What a run came to: it is added up, printed, and the exit code follows. */
export function counting() {
  const totals = { passed: 0, failed: 0 }
  return {
    count: ({ passed, failed }) => {
      totals.passed += passed
      totals.failed += failed
    },
    conclude: () => {
      console.log(`\n${totals.passed} passed, ${totals.failed} failed`)
      if (totals.failed > 0) process.exitCode = 1
    },
  }
}
