import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuild } from '../build.mjs'
import { freePort } from '../processes.mjs'
import { walkBook } from '../walk-book.mjs'
import { openCluster } from '../cluster/cluster.mjs'
import { openLoad, readsASecond, signIn } from '../cluster/load.mjs'
import { ensureClusterPackages } from '../cluster/packages.mjs'
import { raceCluster } from './cluster-races.mjs'

const PEOPLE = 9
const WHO = { signIn: 'marit', password: 'bacon-and-brine' }
const CALM_MS = 6000
const AFTER_MS = 12_000
const SILENT_MS = 12_000
const sleep = ms => new Promise(resolve => setTimeout(resolve, ms))
const say = (name, text) => console.log(`  ${name.padEnd(58)} ${text}`)

/** What the database holds of what was acknowledged. */
async function compare(adminUrl, load, before) {
  const mariadb = await import('mariadb')
  const owner = await mariadb.createConnection(adminUrl)
  try {
    const events = await owner.query('SELECT id FROM events WHERE kind = ? AND id > ?', ['place_read', before])
    const there = new Set(events.map(row => row.id))
    const told = [...load.acknowledged.values()]
    return {
      acknowledged: told.length,
      lost: told.filter(id => !there.has(id)).length,
      doubled: there.size - new Set(told).size,
    }
  }
  finally {
    await owner.end()
  }
}
const lastEvent = async (adminUrl) => {
  const mariadb = await import('mariadb')
  const owner = await mariadb.createConnection(adminUrl)
  const [row] = await owner.query('SELECT CAST(MAX(id) AS INT) AS id FROM events').finally(() => owner.end())
  return Number(row.id)
}
const told = answers =>
  [...answers]
    .sort()
    .map(([status, count]) => `${count} of ${status === 0 ? 'a broken line' : status}`)
    .join(', ')

/** Kills one part after the other under load; what was acknowledged must be there, once. */
async function breakIt(cluster) {
  const before = await lastEvent(cluster.adminUrl)
  const load = await openLoad({ addresses: [cluster.address], origin: cluster.address }, PEOPLE, WHO)
  const [writer] = cluster.nodes.nodes
  const faults = [
    { name: 'the writing node is killed', strike: () => process.kill(writer.server.pid, 'SIGKILL'), mend: () => {} },
    { name: 'it comes back, and writes again', strike: () => cluster.nodes.start(writer), mend: () => {} },
    {
      name: 'an application process is killed',
      strike: () => process.kill(cluster.apps[1].server.pid, 'SIGKILL'),
      mend: () => cluster.start(cluster.apps[1]),
    },
    {
      name: `the way to the writing node is silent for ${SILENT_MS / 1000} s`,
      strike: () => {
        // A node that is stopped takes connections and answers nothing, as behind a cable that was pulled.
        const { pid } = writer.server
        process.kill(pid, 'SIGSTOP')
        setTimeout(() => process.kill(pid, 'SIGCONT'), SILENT_MS)
      },
      mend: () => sleep(SILENT_MS),
    },
  ]
  for (const { name, strike, mend } of faults) {
    await sleep(CALM_MS)
    const atMs = Date.now()
    await strike()
    await sleep(AFTER_MS)
    say(`${name}: longest pause`, `${load.pauseAfter(atMs).toFixed(1)} s`)
    await mend()
  }
  await sleep(CALM_MS)
  await load.stop()
  const found = await compare(cluster.adminUrl, load, before)
  say('acknowledged, lost, doubled', `${found.acknowledged}, ${found.lost}, ${found.doubled}`)
  say('answers on the way', told(load.answers))
  say('the book', (await walkBook(cluster.adminUrl)).words)
}

/** What a second and a third process add: on this machine, where all stands on the same cores. */
async function howMuch(cluster) {
  const origin = cluster.address
  for (const some of [1, 2, 3]) {
    const addresses = cluster.apps.slice(0, some).map(app => app.server.address)
    const load = await openLoad({ addresses, origin }, PEOPLE, WHO)
    await sleep(CALM_MS)
    await load.stop()
    const cookie = await signIn({ address: addresses[0], origin }, WHO)
    const reads = await Promise.all(addresses.map(address => readsASecond({ address, origin }, cookie, '/api/floor', 4, 5)))
    say(
      `${some} process${some > 1 ? 'es' : ''}: records a second; pages a second`,
      `${((load.acknowledged.size * 1000) / CALM_MS).toFixed(0)}; ${reads.reduce((a, b) => a + b, 0).toFixed(0)}`,
    )
  }
}

async function withCluster(how, work) {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-cluster-'))
  // The transfer between nodes wants the servers' own user, and that user a way in.
  chmodSync(folder, 0o755)
  const { entry } = await ensureBuild()
  const cluster = await openCluster(folder, { entry, appPort: await freePort(), demo: true, ...how })
  try {
    await work(cluster)
  }
  finally {
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

export async function measureCluster() {
  await ensureClusterPackages()
  console.log('three nodes, three processes, one node writes')
  await withCluster({}, async (cluster) => {
    await howMuch(cluster)
    await breakIt(cluster)
    // Last: it leaves thousands of lots in the cure.
    await raceCluster(cluster)
  })
  console.log('the same, each process writing to a node of its own: not the way to run it')
  await withCluster({ ownNodes: true }, async (cluster) => {
    const before = await lastEvent(cluster.adminUrl)
    const load = await openLoad(
      { addresses: cluster.apps.map(app => app.server.address), origin: cluster.address },
      PEOPLE,
      WHO,
    )
    await sleep(2 * CALM_MS)
    await load.stop()
    const found = await compare(cluster.adminUrl, load, before)
    say('acknowledged, lost, doubled', `${found.acknowledged}, ${found.lost}, ${found.doubled}`)
    say('answers on the way', told(load.answers))
    say('the book', (await walkBook(cluster.adminUrl)).words)
    await raceCluster(cluster, 2)
  })
}
