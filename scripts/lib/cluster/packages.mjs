import { existsSync, mkdirSync, readdirSync } from 'node:fs'
import { delimiter, join } from 'node:path'
import { ensureDebianPackages, whereIs } from '../packages.mjs'
import { run } from '../run.mjs'

export const GALERA = '/usr/lib/galera/libgalera_smm.so'
/** What a node that joins fetches the data with. */
const TRANSFER = 'wsrep_sst_rsync'

/** Debian's packages for the nodes and the balancer before them. */
export const ensureClusterPackages = () =>
  ensureDebianPackages({
    programs: ['haproxy', 'rsync', 'lsof', 'ss', ...(existsSync(GALERA) ? [] : ['galera-4, which is missing'])],
    packages: ['galera-4', 'haproxy', 'rsync', 'lsof', 'iproute2'],
    why: 'a cluster needs them',
  })

/**
 * The transfer scripts come only with Debian's whole server package, which starts a service of its own: they are taken
 * out of it and nothing is installed. The path on which they are found.
 */
export async function transferPath(folder) {
  if (whereIs(TRANSFER)) return process.env.PATH ?? ''
  const tools = join(folder, 'tools')
  const bin = join(tools, 'usr', 'bin')
  if (!existsSync(join(bin, TRANSFER))) {
    mkdirSync(tools, { recursive: true })
    await run('apt-get', ['download', '-q', 'mariadb-server'], { cwd: tools })
    const packed = readdirSync(tools).find(name => name.endsWith('.deb'))
    await run('dpkg', ['-x', packed, '.'], { cwd: tools })
  }
  return [bin, process.env.PATH].join(delimiter)
}
