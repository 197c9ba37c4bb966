import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import net from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { freePort, isAlive, livingPid, portIsTaken, stopLeftover, stopPid, takeLock, until } from './processes.mjs'

const MARK = 'veldmoor-test-sleeper'
let folder: string
let file: string

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'veldmoor-processes-'))
  file = join(folder, 'pid')
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** A process that carries the mark in its command line and says when it listens. */
async function sleeper(deaf = false) {
  const child = spawn(process.execPath, [
    '-e',
    `${deaf ? 'process.on("SIGTERM", () => {});' : ''}setInterval(() => {}, 1000);console.log("up")`,
    MARK,
  ])
  await new Promise(done => child.stdout.once('data', done))
  return {
    pid: child.pid!,
    ended: new Promise<string>(done => child.on('exit', (code, signal) => done(String(signal ?? code)))),
  }
}
const dead = async () => {
  const one = await sleeper()
  process.kill(one.pid, 'SIGKILL')
  await one.ended
  return one.pid
}

describe('which process a file names', () => {
  it('none, when there is no file, no number in it, or it has ended', async () => {
    rmSync(file, { force: true })
    expect(livingPid(file, MARK)).toBeNull()
    for (const text of ['', 'not a number', '1', '-4', String(await dead())]) {
      writeFileSync(file, text)
      expect(livingPid(file, MARK)).toBeNull()
    }
  })
  it('only ours: the system gives numbers out again', async () => {
    const { pid, ended } = await sleeper()
    writeFileSync(file, String(pid))
    expect(livingPid(file, MARK)).toBe(pid)
    expect(livingPid(file, 'somebody-else')).toBeNull()
    expect(await stopLeftover(file, 'somebody-else')).toBe(false)
    expect(isAlive(pid)).toBe(true)
    writeFileSync(file, String(pid))
    expect(await stopLeftover(file, MARK)).toBe(true)
    expect(await ended).toBe('SIGTERM')
    expect(existsSync(file)).toBe(false)
  })
})

describe('a lock', () => {
  it('is held by a living process, taken over from a dead one, and one\'s own again', async () => {
    const { pid, ended } = await sleeper()
    writeFileSync(file, String(pid))
    expect(takeLock(file, MARK)).toBe(pid)
    expect(readFileSync(file, 'utf8')).toBe(String(pid))
    process.kill(pid, 'SIGKILL')
    await ended
    expect(takeLock(file, MARK)).toBeNull()
    expect(takeLock(file, MARK)).toBeNull()
    expect(readFileSync(file, 'utf8')).toBe(String(process.pid))
  })
  it('is won by one of many who find a dead one\'s at the same moment', async () => {
    writeFileSync(file, String(await dead()))
    const url = pathToFileURL(join(import.meta.dirname, 'processes.mjs')).href
    const startMs = Date.now() + 1500
    const program = `import { takeLock } from ${JSON.stringify(url)}
while (Date.now() < ${startMs});
console.log(takeLock(${JSON.stringify(file)}, ${JSON.stringify(MARK)}))
process.stdin.resume()`
    const racers = Array.from({ length: 6 }, () => spawn(process.execPath, ['--input-type=module', '-e', program, MARK]))
    const answers = await Promise.all(
      racers.map(
        racer =>
          new Promise<string>((done) => {
            racer.stdout.once('data', text => done(String(text).trim()))
            racer.stderr.once('data', text => done(`failed: ${String(text)}`))
          }),
      ),
    )
    const won = racers.filter((_, i) => answers[i] === 'null')
    expect(won).toHaveLength(1)
    expect(new Set(answers)).toEqual(new Set(['null', String(won[0]!.pid)]))
    for (const racer of racers) racer.kill('SIGKILL')
  })
})

describe('ending a process', () => {
  it('asks first, and insists when it does not listen', async () => {
    const [polite, deaf] = await Promise.all([sleeper(), sleeper(true)])
    await Promise.all([stopPid(polite.pid), stopPid(deaf.pid, 200)])
    expect(await polite.ended).toBe('SIGTERM')
    expect(await deaf.ended).toBe('SIGKILL')
    await stopPid(polite.pid)
  })
})

describe('waiting and ports', () => {
  it('a free port is free, a taken one is taken', async () => {
    const port = await freePort()
    expect(await portIsTaken(port)).toBe(false)
    const server = net.createServer().listen(port, '127.0.0.1')
    await new Promise(done => server.once('listening', done))
    expect(await portIsTaken(port)).toBe(true)
    await new Promise(done => server.close(done))
  })
  it('ends when it is true, when there is nothing to wait for, or when the time is up', async () => {
    let tries = 0
    expect(await until(() => ++tries === 3, 60_000)).toBe(true)
    expect(tries).toBe(3)
    expect(
      await until(
        () => false,
        60_000,
        () => true,
      ),
    ).toBe(false)
    expect(await until(() => false, 50)).toBe(false)
  })
})
