import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import { join } from 'node:path'
import { benchBeam } from './lib/bench-beam.mjs'
import { benchBook } from './lib/bench-book.mjs'
import { benchPages } from './lib/bench-pages.mjs'
import { benchCluster } from './lib/cluster/bench-cluster.mjs'
import { prepareTypes } from './lib/build.mjs'
import { watchNeighbours } from './lib/neighbours.mjs'
import { ROOT } from './lib/paths.mjs'
import { ensureMariadb, ensureNodePackages } from './lib/packages.mjs'
import { run } from './lib/run.mjs'
import { Advice, main } from './lib/steps.mjs'

const BENCHES = { core: benchCore, book: benchBook, beam: benchBeam, pages: benchPages }
/** Takes packages that no shop on one machine needs: only when it is named. */
const BY_NAME = { cluster: benchCluster }

/** The core's own work. */
async function benchCore() {
  const folder = mkdtempSync(join(os.tmpdir(), 'veldmoor-bench-'))
  const report = join(folder, 'bench.json')
  await run('npx', ['vitest', 'bench', '--run', '--project', 'unit', `--outputJson=${report}`], {
    cwd: ROOT,
    env: { FORCE_COLOR: '0' },
  })
  const { files } = JSON.parse(readFileSync(report, 'utf8'))
  rmSync(folder, { recursive: true })
  for (const { name, median, p99, sampleCount } of files
    .flatMap(file => file.groups)
    .flatMap(group => group.benchmarks)) {
    console.log(
      `  ${name.padEnd(40)} median ${median.toFixed(3).padStart(9)} ms   p99 ${p99.toFixed(3).padStart(9)} ms   ${sampleCount} runs`,
    )
  }
}

/** All of them, or those named: `npm run bench -- pages`. Medians, with the machine that they were taken on. */
await main(async () => {
  const named = process.argv.slice(2)
  const unknown = named.find(name => !(name in { ...BENCHES, ...BY_NAME }))
  if (unknown) throw new Advice(`There is no bench “${unknown}”. They are: ${Object.keys({ ...BENCHES, ...BY_NAME }).join(', ')}.`)
  await ensureNodePackages()
  await prepareTypes()
  await ensureMariadb()
  console.log(`${os.cpus()[0].model}, ${os.cpus().length} cores, Node.js ${process.version}`)
  const all = named.length === 0 ? BENCHES : { ...BENCHES, ...BY_NAME }
  for (const [name, bench] of Object.entries(all)) {
    if (named.length > 0 && !named.includes(name)) continue
    const taken = watchNeighbours()
    await bench()
    // Time that the host gives to others reads as our own in every figure above.
    console.log(`  meanwhile ${taken()} of the processors' time`)
  }
})
