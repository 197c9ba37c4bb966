import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { measureAgainst } from './lib/speed/against.mjs'
import { measureBeam } from './lib/speed/beam.mjs'
import { measureBook } from './lib/speed/book.mjs'
import { measureLife } from './lib/speed/life.mjs'
import { measureTap } from './lib/speed/tap.mjs'
import { measurePages } from './lib/speed/pages.mjs'
import { measureCluster } from './lib/speed/cluster.mjs'
import { prepareTypes } from './lib/build.mjs'
import { watchNeighbours } from './lib/neighbours.mjs'
import { ROOT } from './lib/paths.mjs'
import { ensureMariadb, ensureNodePackages } from './lib/packages.mjs'
import { run } from './lib/run.mjs'
import { Advice, main } from './lib/steps.mjs'

const MEASURES = { core: measureCore, book: measureBook, beam: measureBeam, pages: measurePages, life: measureLife, tap: measureTap }
/** Takes packages that no shop on one machine needs: only when it is named. */
const BY_NAME = { cluster: measureCluster }

/** The core's own work. */
async function measureCore() {
  const folder = mkdtempSync(join(os.tmpdir(), 'veldmoor-speed-'))
  const report = join(folder, 'speed.json')
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

/**
 * All of them, or those named: `npm run bench -- pages`. Medians, with the machine that they were taken on.
 * `--against ../old`: pages and presses beside those of another clone, in turns.
 */
await main(async () => {
  const { positionals: named, values } = parseArgs({ allowPositionals: true, options: { against: { type: 'string' } } })
  const unknown = named.find(name => !(name in { ...MEASURES, ...BY_NAME }))
  if (unknown) throw new Advice(`There is nothing to measure called “${unknown}”. `
    + `They are: ${Object.keys({ ...MEASURES, ...BY_NAME }).join(', ')}.`)
  await ensureNodePackages()
  await prepareTypes()
  await ensureMariadb()
  console.log(`${os.cpus()[0].model}, ${os.cpus().length} cores, Node.js ${process.version}`)
  if (values.against) {
    const taken = watchNeighbours()
    await measureAgainst(values.against)
    console.log(`  meanwhile ${taken()} of the processors' time`)
    if (named.length === 0) return
  }
  const all = named.length === 0 ? MEASURES : { ...MEASURES, ...BY_NAME }
  for (const [name, measure] of Object.entries(all)) {
    if (named.length > 0 && !named.includes(name)) continue
    const taken = watchNeighbours()
    await measure()
    // Time that the host gives to others reads as our own in every figure above.
    console.log(`  meanwhile ${taken()} of the processors' time`)
  }
})
