import { appendFileSync } from 'node:fs'
import { join } from 'node:path'
import { startApp } from '../app-server.mjs'
import { urlsBy } from '../mariadb.mjs'
import { freePort, stopLeftover } from '../processes.mjs'
import { prepare } from '../prepare.mjs'
import { step } from '../steps.mjs'
import { CHECK_USER, startBalancer } from './balancer.mjs'
import { openNodes } from './nodes.mjs'

const APPS = 3

/**
 * Three nodes, three application processes and one HAProxy before both, on loopback. `ownNodes` lets each process write
 * to a node of its own, which is no way to run it: to see what then happens.
 */
export async function openCluster(folder, { entry, appPort, demo, env = {}, ownNodes = false }) {
  const opened = []
  const stop = async () => {
    for (const one of opened.reverse()) await one.stop()
  }
  try {
    const nodes = await step('three nodes', () => openNodes(folder))
    opened.push(nodes)
    await checkUser(nodes.nodes[0].server)
    const apps = []
    for (let i = 0; i < APPS; i++) apps.push({ name: `a${i + 1}`, port: await freePort(), server: null })
    const databasePort = await freePort()
    const ports = { databasePort, nodes: nodes.nodes, appPort, apps }
    opened.push(await step('balancer', () => startBalancer(join(folder, 'haproxy'), ports)))
    const urls = urlsBy(nodes.secrets, databasePort)
    // One process migrates, before any other is there.
    await step('schema', () => prepare(urls))
    const start = async (app) => {
      const own = urlsBy(nodes.secrets, nodes.nodes[apps.indexOf(app)].port)
      app.server = await startApp({
        entry,
        port: app.port,
        databaseUrl: (ownNodes ? own : urls).url,
        sessionSecret: nodes.secrets.sessionSecret,
        demo,
        pidFile: join(folder, `${app.name}.pid`),
        onLine: line => appendFileSync(join(folder, `${app.name}.log`), `${line}\n`),
        env: { PUBLIC_ORIGIN: `http://127.0.0.1:${appPort}`, ...env },
      })
      opened.push(app.server)
    }
    await step('applications', async () => {
      for (const app of apps) {
        await stopLeftover(join(folder, `${app.name}.pid`), '.output')
        await start(app)
      }
      return `${APPS} processes`
    })
    return { nodes, apps, start, ...urls, address: `http://127.0.0.1:${appPort}`, stop }
  }
  catch (error) {
    await stop()
    throw error
  }
}

/** Whom the balancer knocks as: no rights, no password, from here alone. */
async function checkUser(server) {
  const mariadb = await import('mariadb')
  const root = await mariadb.createConnection({ socketPath: server.socket, user: 'root' })
  await root.query(`CREATE USER IF NOT EXISTS '${CHECK_USER}'@'127.0.0.1'`).finally(() => root.end())
}
