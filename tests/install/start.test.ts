import { spawn, type ChildProcess } from 'node:child_process'
import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { freePort, isAlive } from '../../scripts/lib/processes.mjs'
import { Client } from '../support/client'
import { celsius } from '../support/goods'

const ROOT = resolve(import.meta.dirname, '../..')
let folder: string
let port: number

interface Started {
  child: ChildProcess
  output: () => string
  ended: Promise<number | null>
}

const start = (script: string, ...args: string[]): Started => {
  const child = spawn(process.execPath, [join(ROOT, 'scripts', script), ...args], {
    env: { ...process.env, VELDMOOR_FOLDER: folder, DATABASE_URL: '', SESSION_SECRET: '' },
  })
  let output = ''
  child.stdout.on('data', chunk => (output += chunk))
  child.stderr.on('data', chunk => (output += chunk))
  return { child, output: () => output, ended: new Promise(done => child.on('exit', code => done(code))) }
}
const until = async (test: () => boolean | Promise<boolean>, everyMs = 50) => {
  for (const endMs = Date.now() + 120_000; Date.now() < endMs;) {
    if (await test()) return
    await new Promise(done => setTimeout(done, everyMs))
  }
  throw new Error('waited 120 s in vain')
}
const demo = async () => {
  const started = start('demo.mjs', '--port', String(port))
  await until(() => started.output().includes('Ctrl-C stops it') || started.child.exitCode !== null)
  expect(started.output()).toContain(`http://127.0.0.1:${port}`)
  return started
}
const pids = () =>
  ['app.pid', 'mariadb.pid']
    .map(file => join(folder, 'demo', file))
    .filter(existsSync)
    .map(file => Number(readFileSync(file, 'utf8')))

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'veldmoor-start-'))
  // Servers run as users of their own where they can, and reach their folder through this one.
  chmodSync(folder, 0o755)
  port = await freePort()
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

it('starts the demo shop, prints each step with its time, and stops both servers on Ctrl-C, pressed until it is gone', async () => {
  const { child, output, ended } = await demo()
  for (const step of ['packages', 'MariaDB', 'build', 'database', 'schema', 'demo shop', 'application'])
    expect(output()).toMatch(new RegExp(`^  ${step} .*\\d+\\.\\d s$`, 'm'))
  const client = new Client(`http://127.0.0.1:${port}`)
  expect(await client.post('/api/session', { signIn: 'marit', password: 'bacon-and-brine' })).toMatchObject({
    status: 200,
  })
  const { lots } = (await client.get('/api/floor')).body
  expect(lots.length).toBeGreaterThanOrEqual(8)
  expect(new Set(lots.map((lot: { cut: string }) => lot.cut)).size).toBe(4)
  const running = pids()
  expect(running).toHaveLength(2)
  await until(() => !child.kill('SIGINT'), 1)
  expect(await ended).toBe(0)
  expect(running.filter(isAlive)).toEqual([])
  expect(existsSync(join(folder, 'demo', 'lock'))).toBe(false)
})

it('needs no hand after it was killed, and keeps what was recorded', async () => {
  const first = await demo()
  const client = new Client(`http://127.0.0.1:${port}`)
  await client.post('/api/session', { signIn: 'tam', password: 'bacon-and-brine' })
  const before = (await client.get('/api/lots/L-0010')).body.turns.length
  expect((await client.post('/api/lots/L-0010/turns', {})).status).toBe(200)
  const orphans = pids()
  first.child.kill('SIGKILL')
  await first.ended
  expect(orphans.filter(isAlive)).toHaveLength(2)
  const second = await demo()
  expect(second.output()).toContain('kept as it was')
  expect(orphans.filter(isAlive)).toEqual([])
  expect((await client.get('/api/lots/L-0010')).body.turns).toHaveLength(before + 1)

  const third = start('demo.mjs', '--port', String(port))
  expect(await third.ended).toBe(1)
  expect(third.output()).toMatch(/It is running already \(process \d+\)/)
  second.child.kill('SIGTERM')
  expect(await second.ended).toBe(0)
})

it('a server that ends by itself is started again; neither runs as root, and no secret shows in the list of processes', async () => {
  const { child, output, ended } = await demo()
  const answers = () =>
    fetch(`http://127.0.0.1:${port}/api/health`).then(
      answer => answer.ok,
      () => false,
    )
  for (const [name, file] of [
    ['The application', 'app.pid'],
    ['MariaDB', 'mariadb.pid'],
  ] as const) {
    const at = join(folder, 'demo', file)
    const before = Number(readFileSync(at, 'utf8'))
    if (process.getuid!() === 0) expect(readFileSync(`/proc/${before}/status`, 'utf8')).not.toMatch(/^Uid:\s+0\s/m)
    process.kill(before, 'SIGKILL')
    await until(() => output().includes(`${name} is up again`))
    expect(Number(readFileSync(at, 'utf8'))).not.toBe(before)
    await until(answers)
  }
  const client = new Client(`http://127.0.0.1:${port}`)
  expect(await client.post('/api/session', { signIn: 'tam', password: 'bacon-and-brine' })).toMatchObject({
    status: 200,
  })
  const [fridge] = (await client.get('/api/floor')).body.places
  expect(await client.post(`/api/fridges/${fridge.id}/readings`, { temperature: celsius('3') })).toMatchObject({
    status: 200,
  })
  const commands = readdirSync('/proc')
    .filter(entry => /^\d+$/.test(entry))
    .flatMap((pid) => {
      try {
        return [readFileSync(`/proc/${pid}/cmdline`, 'utf8')]
      }
      catch {
        return []
      }
    })
    .join('\n')
  const secrets = Object.values(
    JSON.parse(readFileSync(join(folder, 'demo/private/secrets.json'), 'utf8')) as Record<string, string>,
  )
  expect(secrets.length).toBeGreaterThanOrEqual(3)
  for (const secret of secrets) expect(commands.includes(secret)).toBe(false)
  child.kill('SIGINT')
  expect(await ended).toBe(0)
})

it('says when the port is taken or no number', async () => {
  const taken = Number(new URL(process.env.TEST_DATABASE_URL!).port)
  const busy = start('start.mjs', '--port', String(taken))
  expect(await busy.ended).toBe(1)
  expect(busy.output()).toContain(`Port ${taken} is taken`)
  const wrong = start('start.mjs', '--port', 'many')
  expect(await wrong.ended).toBe(1)
  expect(wrong.output()).toContain('a number from 1 to 65535')
})

it('npm start begins with an empty shop', async () => {
  const shop = start('start.mjs', '--port', String(port))
  await until(() => shop.output().includes('first visit') || shop.child.exitCode !== null)
  expect(shop.output()).toMatch(new RegExp(`http://127\\.0\\.0\\.1:${port}/set-up#code=[A-Z0-9-]{8,}`))
  expect((await new Client(`http://127.0.0.1:${port}`).get('/api/session')).body).toMatchObject({
    needsSetup: true,
    demoSignIns: null,
  })
  shop.child.kill('SIGINT')
  expect(await shop.ended).toBe(0)
})
