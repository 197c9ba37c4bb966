import { spawn } from 'node:child_process'
import { mkdirSync, openSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { whereIs } from '../packages.mjs'
import { portIsTaken, stopLeftover, stopPid, until } from '../processes.mjs'

/** The user that the balancer knocks with: it may do nothing at all. */
export const CHECK_USER = 'veldmoor_check'

/**
 * HAProxy's configuration. To the database one node writes and the others wait to; each is asked twice a second whether
 * it is part of the cluster and has caught up, and whoever hangs on one that fell is let go. When the first is back, all
 * go back to it together: two that write would be told apart only at COMMIT. To the applications, all in turn.
 */
export const haproxyConfig = ({ databasePort, nodes, appPort, apps, check }) => `global
  maxconn 400
  external-check
  insecure-fork-wanted

defaults
  timeout connect 2s
  timeout client 60s
  timeout server 60s
  timeout check 800ms

listen database
  mode tcp
  bind 127.0.0.1:${databasePort}
  option external-check
  external-check path "/usr/bin:/bin"
  external-check command ${check}
  default-server inter 500ms fall 2 rise 2 on-marked-down shutdown-sessions
${nodes
  .map(({ name, port }, i) => `  server ${name} 127.0.0.1:${port} check ${i === 0 ? 'on-marked-up shutdown-backup-sessions' : 'backup'}`)
  .join('\n')}

listen application
  mode http
  bind 127.0.0.1:${appPort}
  balance roundrobin
  option httpchk GET /api/health
  option redispatch
  retries 2
  default-server inter 500ms fall 2 rise 2
${apps.map(({ name, port }) => `  server ${name} 127.0.0.1:${port} check`).join('\n')}
`

/** Ready: 4 is "synced" (Galera's wsrep_local_state). HAProxy gives the server's address and port as 3 and 4. */
const CHECK = `#!/bin/sh
mariadb --no-defaults --host="$3" --port="$4" --user=${CHECK_USER} --skip-column-names --batch \\
  --connect-timeout=1 --execute="SHOW STATUS LIKE 'wsrep_local_state'" | grep -q '4$'
`

/** Starts HAProxy with that configuration and waits until it listens. */
export async function startBalancer(folder, how) {
  mkdirSync(folder, { recursive: true })
  const [config, logPath] = [join(folder, 'haproxy.cfg'), join(folder, 'haproxy.log')]
  const check = join(folder, 'is-synced.sh')
  writeFileSync(check, CHECK, { mode: 0o755 })
  writeFileSync(config, haproxyConfig({ ...how, check }))
  const [log, pidFile] = [openSync(logPath, 'a'), join(folder, 'haproxy.pid')]
  await stopLeftover(pidFile, config)
  const child = spawn(whereIs('haproxy'), ['-db', '-f', config], { detached: true, stdio: ['ignore', log, log] })
  writeFileSync(pidFile, String(child.pid))
  let ended = false
  child.on('exit', () => (ended = true))
  if (!(await until(() => portIsTaken(how.databasePort), 10_000, () => ended)))
    throw new Error(`HAProxy did not start:\n${readFileSync(logPath, 'utf8').slice(-2000)}`)
  return { pid: child.pid, stop: () => stopPid(child.pid, 4000) }
}
