import { join } from 'node:path'
import { startMariadb } from '../mariadb.mjs'
import { freePort } from '../processes.mjs'
import { secretsIn } from '../secrets.mjs'
import { GALERA, transferPath } from './packages.mjs'

const NODES = 3
/**
 * How soon a silent node is left behind: it is suspected after two seconds and dropped after four at most, where the
 * defaults wait five and fifteen.
 */
const EVICTION = [
  'evs.keepalive_period=PT0.5S',
  'evs.inactive_check_period=PT0.5S',
  'evs.suspect_timeout=PT2S',
  'evs.inactive_timeout=PT4S',
]

/** Three nodes on loopback. Each can be started again by itself; the first of all makes the cluster. */
export async function openNodes(folder) {
  const secrets = await secretsIn(folder)
  const path = await transferPath(folder)
  const nodes = []
  for (let i = 0; i < NODES; i++) {
    nodes.push({
      name: `n${i + 1}`,
      folder: join(folder, `n${i + 1}`),
      port: await freePort(),
      group: await freePort(),
      increments: await freePort(),
      transfer: await freePort(),
      server: null,
    })
  }
  const all = nodes.map(node => `127.0.0.1:${node.group}`).join(',')
  const start = async (node, first = false) => {
    node.server = await startMariadb(node.folder, {
      port: node.port,
      secrets,
      env: { PATH: path },
      more: [
        '--binlog-format=ROW',
        '--innodb-autoinc-lock-mode=2',
        // The book's guard is a trigger, which its owner makes.
        '--log-bin-trust-function-creators=1',
        '--wsrep-on=ON',
        `--wsrep-provider=${GALERA}`,
        '--wsrep-cluster-name=veldmoor',
        `--wsrep-cluster-address=gcomm://${first ? '' : all}`,
        `--wsrep-node-name=${node.name}`,
        `--wsrep-node-address=127.0.0.1:${node.group}`,
        `--wsrep-provider-options=${[
          `base_port=${node.group}`,
          `gmcast.listen_addr=tcp://127.0.0.1:${node.group}`,
          `ist.recv_addr=127.0.0.1:${node.increments}`,
          ...EVICTION,
        ].join('; ')}`,
        '--wsrep-sst-method=rsync',
        `--wsrep-sst-receive-address=127.0.0.1:${node.transfer}`,
      ],
    })
    return node.server
  }
  // The first made leaves last: it alone may begin again.
  const stop = async () => {
    for (const node of [...nodes].reverse()) await node.server?.stop()
  }
  try {
    await start(nodes[0], true)
    for (const node of nodes.slice(1)) await start(node)
  }
  catch (error) {
    await stop()
    throw error
  }
  return { nodes, secrets, start, stop }
}
