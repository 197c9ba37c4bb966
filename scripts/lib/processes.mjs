import { existsSync, linkSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
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

/** True when a process with this id runs and its command line holds the mark: ids are used again by others. */
const isOurs = (pid, mark) =>
  isAlive(pid)
  && existsSync(`/proc/${pid}/cmdline`)
  && readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').includes(mark)

const readPid = path => (existsSync(path) ? Number.parseInt(readFileSync(path, 'utf8'), 10) : Number.NaN)

/** The id in a pid file when that process is alive and ours, else null. */
export function livingPid(path, mark) {
  const pid = readPid(path)
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
 * over.
 */
export function takeLock(path, mark) {
  const [mine, aside] = [`${path}.${process.pid}`, `${path}.${process.pid}.old`]
  writeFileSync(mine, String(process.pid))
  try {
    for (;;) {
      // A link comes into being whole or not at all, and for one of any number who want it.
      if (isLinked(mine, path)) return null
      const holder = livingPid(path, mark)
      if (holder !== null) return holder === process.pid ? null : holder
      // A dead one's. Whoever moves it away has not got the lock yet: all begin again.
      moveAway(path, aside)
      // What was moved was taken meanwhile by one who lives: it is given back.
      if (livingPid(aside, mark) !== null) isLinked(aside, path)
      rmSync(aside, { force: true })
    }
  }
  finally {
    rmSync(mine, { force: true })
  }
}
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
const moveAway = (from, to) => {
  try {
    renameSync(from, to)
  }
  catch (error) {
    if (error.code !== 'ENOENT') throw error
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
