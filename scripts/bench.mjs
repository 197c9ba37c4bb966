import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import { join } from 'node:path'
import { benchBeam } from './lib/bench-beam.mjs'
import { benchBook } from './lib/bench-book.mjs'
import { prepareTypes } from './lib/build.mjs'
import { watchNeighbours } from './lib/neighbours.mjs'
import { ROOT } from './lib/paths.mjs'
import { ensureMariadb, ensureNodePackages } from './lib/packages.mjs'
import { run } from './lib/run.mjs'
import { main } from './lib/steps.mjs'

/** Medians of the core's work, then the book under load, with the machine they were taken on. */
await main(async () => {
  await ensureNodePackages()
  await prepareTypes()
  const folder = mkdtempSync(join(os.tmpdir(), 'veldmoor-bench-'))
  const report = join(folder, 'bench.json')
  await run('npx', ['vitest', 'bench', '--run', '--project', 'unit', `--outputJson=${report}`], { cwd: ROOT, env: { FORCE_COLOR: '0' } })
  const { files } = JSON.parse(readFileSync(report, 'utf8'))
  rmSync(folder, { recursive: true })
  console.log(`${os.cpus()[0].model}, ${os.cpus().length} cores, Node.js ${process.version}`)
  for (const { name, median, p99, sampleCount } of files.flatMap(file => file.groups).flatMap(group => group.benchmarks)) {
    console.log(`  ${name.padEnd(40)} median ${median.toFixed(3).padStart(9)} ms   p99 ${p99.toFixed(3).padStart(9)} ms   ${sampleCount} runs`)
  }
  await ensureMariadb()
  for (const bench of [benchBook, benchBeam]) {
    const taken = watchNeighbours()
    await bench()
    // Time that the host gives to others reads as our own in every figure above.
    console.log(`  meanwhile ${taken()} of the processors' time`)
  }
})
