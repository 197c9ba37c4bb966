import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
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
  const holder = livingPid(path, mark)
  if (holder !== null && holder !== process.pid) return holder
  writeFileSync(path, String(process.pid))
  return null
}

export function freePort() {
  return new Promise((resolve, reject) => {
    const server = net.createServer()
    server.on('error', reject)
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address()
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
