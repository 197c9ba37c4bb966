import { mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuild } from './lib/build.mjs'
import { ensureClusterPackages } from './lib/cluster/packages.mjs'
import { ensureMariadb, ensureNodePackages } from './lib/packages.mjs'
import { stateFolder } from './lib/paths.mjs'
import { portIsTaken, takeLock } from './lib/processes.mjs'
import { readOptions } from './lib/serve.mjs'
import { Advice, main, step } from './lib/steps.mjs'

/** `npm run cluster`: the demo shop on three Galera nodes, behind HAProxy, with three application processes. */
await main(async () => {
  console.log('Veldmoor, demo shop on a cluster')
  const { port } = readOptions(process.argv.slice(2))
  const folder = join(stateFolder(), 'cluster')
  mkdirSync(folder, { recursive: true })
  const holder = takeLock(join(folder, 'lock'), 'scripts/')
  if (holder !== null) throw new Advice(`It is running already (process ${holder}). Stop it with Ctrl-C or: kill ${holder}`)
  if (await portIsTaken(port)) throw new Advice(`Port ${port} is taken. Choose one with --port N.`)
  await step('packages', ensureNodePackages)
  await step('MariaDB', ensureMariadb)
  await step('Galera, HAProxy', ensureClusterPackages)
  const { entry } = await step('build', ensureBuild)
  // A cluster of which every node was stopped has to be told which one was last; the demo begins anew.
  for (const part of ['n1', 'n2', 'n3', 'haproxy']) rmSync(join(folder, part), { recursive: true, force: true })
  const { openCluster } = await import('./lib/cluster/cluster.mjs')
  const cluster = await openCluster(folder, { entry, appPort: port, demo: true })
  console.log(`\n  ${cluster.address}\n\n  sign in as  marit, password  bacon-and-brine`)
  for (const { name, server } of cluster.nodes.nodes) console.log(`  ${name}  MariaDB, process ${server.pid}, port ${server.port}`)
  for (const { name, server } of cluster.apps) console.log(`  ${name}  application, process ${server.pid}, ${server.address}`)
  console.log('\n  Kill one and look. Ctrl-C stops it all.')
  await new Promise(done => ['SIGINT', 'SIGTERM', 'SIGHUP'].forEach(signal => process.on(signal, () => done(null))))
  await step('stopping', () => cluster.stop())
})
