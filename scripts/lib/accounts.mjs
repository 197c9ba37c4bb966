import { statSync } from 'node:fs'
import { userInfo } from 'node:os'
import { run } from './run.mjs'

/**
 * The database and the application each run, under root, as a user of their own: neither may touch the other's, nor
 * anything of root's.
 */
export const DATABASE_USER = 'veldmoor'
export const APPLICATION_USER = 'veldmoor-app'

export const isRoot = () => process.getuid() === 0

/** Makes a system user when there is none; answers with its numbers. */
export async function systemUser(name) {
  const idOf = async flag => Number((await run('id', [flag, name])).trim())
  const known = await run('id', ['-u', name]).then(
    () => true,
    () => false,
  )
  if (!known) await run('useradd', ['--system', '--no-create-home', '--shell', '/usr/sbin/nologin', name])
  return { name, uid: await idOf('-u'), gid: await idOf('-g') }
}

/** True when a user may do this with a path: "-r", "-w" or "-x". */
export const userReaches = (user, flag, path) =>
  run('runuser', ['-u', user, '--', 'test', flag, path]).then(
    () => true,
    () => false,
  )

/** The account that this program runs as. */
export const ourName = () => userInfo().username

/** The name of the user whose a path is. */
export const ownerOf = async path => (await run('id', ['-nu', String(statSync(path).uid)])).trim()

/** Gives one entry, not what lies in it, back to us: until 0.3.0 the whole folder was the database's. */
export async function takeBack(path) {
  if (isRoot() && (await ownerOf(path)) === DATABASE_USER) await run('chown', ['--no-dereference', 'root:root', path])
}
