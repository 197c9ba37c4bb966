import { spawn } from 'node:child_process'
import { rmSync, writeFileSync } from 'node:fs'
import { stopPid, until } from './processes.mjs'

const READY_WITHIN_MS = 60_000

/**
 * Starts the built application on loopback, as `user` where one is named, and waits until it answers "ready". `onLine`
 * gets what it prints.
 */
export async function startApp({
  entry,
  port,
  databaseUrl,
  sessionSecret,
  demo = false,
  user = null,
  pidFile = null,
  env = {},
  onLine = /** @type {(line: string) => void} */ (() => {}),
}) {
  const child = spawn(process.execPath, [entry], {
    detached: true,
    stdio: ['ignore', 'pipe', 'pipe'],
    ...(user ? { uid: user.uid, gid: user.gid, cwd: '/' } : {}),
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(port),
      DATABASE_URL: databaseUrl,
      DATABASE_ADMIN_URL: '',
      SESSION_SECRET: sessionSecret,
      VELDMOOR_DEMO: demo ? '1' : '',
      // Threads would each keep freed memory of their own: some 20 MB more for nothing.
      MALLOC_ARENA_MAX: process.env.MALLOC_ARENA_MAX ?? '2',
      ...env,
    },
  })
  let ended = false
  let output = ''
  const take = (chunk) => {
    output = (output + chunk).slice(-20_000)
    for (const line of String(chunk).split('\n')) if (line.trim()) onLine(line)
  }
  child.stdout.on('data', take)
  child.stderr.on('data', take)
  child.on('exit', () => (ended = true))
  if (pidFile) writeFileSync(pidFile, String(child.pid))
  const address = `http://127.0.0.1:${port}`
  const ready = await until(
    () =>
      fetch(`${address}/api/health`).then(
        answer => answer.ok,
        () => false,
      ),
    READY_WITHIN_MS,
    () => ended,
  )
  if (!ready) {
    if (!ended) await stopPid(child.pid)
    throw new Error(`the application did not start:\n${output.slice(-3000)}`)
  }
  return {
    address,
    pid: child.pid,
    child,
    output: () => output,
    isRunning: () => !ended,
    stop: async () => {
      await stopPid(child.pid, 8000)
      if (pidFile) rmSync(pidFile, { force: true })
    },
  }
}
