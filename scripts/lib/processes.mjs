import { linkSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import net from 'node:net'

const sleep = ms => new Promise(resolve => setTimeout(resolve, ms))

export function isAlive(pid) {
  try {
    process.kill(pid, 0)
    return true
  }
  catch (error) {
    return error.code === 'EPERM'
  }
}

/** A file's text, or null where it is not there, or not there any more. */
function readText(path) {
  try {
    return readFileSync(path, 'utf8')
  }
  catch (error) {
    if (error.code === 'ENOENT' || error.code === 'ESRCH') return null
    throw error
  }
}

/** True when a process with this id runs and its command line holds the mark: ids are used again by others. */
const isOurs = (pid, mark) =>
  isAlive(pid) && (readText(`/proc/${pid}/cmdline`) ?? '').replaceAll('\0', ' ').includes(mark)

/** The id in a pid file when that process is alive and ours, else null. */
export function livingPid(path, mark) {
  const pid = Number.parseInt(readText(path) ?? '', 10)
  return Number.isInteger(pid) && pid > 1 && isOurs(pid, mark) ? pid : null
}

/** Asks a process to end, waits, and ends it the hard way when it does not. */
export async function stopPid(pid, waitMs = 20_000) {
  if (!isAlive(pid)) return
  process.kill(pid, 'SIGTERM')
  for (let waited = 0; waited < waitMs; waited += 50) {
    if (!isAlive(pid)) return
    await sleep(50)
  }
  process.kill(pid, 'SIGKILL')
}

/** Ends what a killed run left behind. */
export async function stopLeftover(pidPath, mark) {
  const pid = livingPid(pidPath, mark)
  if (pid !== null) await stopPid(pid)
  rmSync(pidPath, { force: true })
  return pid !== null
}

/**
 * Takes a lock file for this process, or returns the id of the living process that has it. A dead one's lock is taken
 * over, by whoever holds the lock on doing that: two who find it at once would otherwise clear away each other's.
 */
export function takeLock(path, mark) {
  const mine = `${path}.${process.pid}`
  const heir = `${path}.after`
  writeFileSync(mine, String(process.pid))
  try {
    for (;;) {
      // A link comes into being whole or not at all, and for one of any number who want it.
      if (isLinked(mine, path)) return null
      const holder = livingPid(path, mark)
      if (holder !== null) return holder === process.pid ? null : holder
      // Gone by now: all begin again.
      if (readText(path) === null) continue
      if (takeLock(heir, mark) !== null) {
        pause()
        continue
      }
      // Removes it as its only heir: what is there still is the dead one's, or a living one's who came first.
      if (readText(path) !== null && livingPid(path, mark) === null) rmSync(path, { force: true })
      rmSync(heir, { force: true })
    }
  }
  finally {
    rmSync(mine, { force: true })
  }
}
const PAUSE_MS = 5
const pause = () => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, PAUSE_MS)
const isLinked = (from, to) => {
  try {
    linkSync(from, to)
    return true
  }
  catch (error) {
    if (error.code === 'EEXIST') return false
    throw error
  }
}

export function freePort() {
  return new Promise((resolve, reject) => {
    const server = net.createServer()
    server.on('error', reject)
    server.listen(0, '127.0.0.1', () => {
      const { port } = /** @type {net.AddressInfo} */ (server.address())
      server.close(() => resolve(port))
    })
  })
}

export function portIsTaken(port) {
  return new Promise((resolve) => {
    const socket = net.connect(port, '127.0.0.1')
    socket.on('connect', () => {
      socket.destroy()
      resolve(true)
    })
    socket.on('error', () => resolve(false))
  })
}

/** Tries until it is true; gives up after `waitMs`, or when `gone` says that there is nothing to wait for. */
export async function until(test, waitMs, gone = () => false) {
  const endMs = Date.now() + waitMs
  while (Date.now() < endMs) {
    if (await test()) return true
    if (gone()) return false
    await sleep(60)
  }
  return false
}
