import { execFileSync, spawn } from 'node:child_process'
import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { freePort, isAlive, until } from '../../scripts/lib/processes.mjs'
import { Client } from '../support/client'

/** The README's commands as they are met: in a clone of what is committed, without packages and without a build. */
const ROOT = resolve(import.meta.dirname, '../..')
const PATIENCE_MS = 600_000
let folder: string
let clone: string
let port: number

/** The environment of somebody who has just cloned: an empty home, and none of what this run of the tests was told. */
const bareEnv = () => {
  const kept = Object.entries(process.env).filter(
    ([name]) => !/^(VITEST|TEST_|NODE_|npm_|DATABASE_|SESSION_|VELDMOOR_|REPORTS)/.test(name),
  )
  // The packages' cache may be warm; nothing else of ours is there.
  const cache = execFileSync('npm', ['config', 'get', 'cache'], { encoding: 'utf8' }).trim()
  return { ...Object.fromEntries(kept), HOME: join(folder, 'home'), npm_config_cache: cache }
}

function command(...args: string[]) {
  const child = spawn('npm', ['run', '--silent', ...args], { cwd: clone, env: bareEnv(), detached: true })
  let output = ''
  child.stdout.on('data', chunk => (output += chunk))
  child.stderr.on('data', chunk => (output += chunk))
  const ended = new Promise<number | null>(done => child.on('exit', code => done(code)))
  return { child, output: () => output, ended }
}
const toItsEnd = async (...args: string[]) => {
  const run = command(...args)
  return { code: await run.ended, output: run.output() }
}
/** Ctrl-C reaches every process of the terminal's group. */
const ctrlC = (pid: number) => process.kill(-pid, 'SIGINT')

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'veldmoor-clone-'))
  clone = join(folder, 'veldmoor')
  execFileSync('git', ['clone', '--quiet', pathToFileURL(ROOT).href, clone], { stdio: 'pipe' })
  port = await freePort()
})
afterAll(() => rmSync(folder, { recursive: true, force: true, maxRetries: 5 }))

describe('a clone without packages', () => {
  it('every part of the commands can be read before anything is installed', () => {
    expect(existsSync(join(clone, 'node_modules'))).toBe(false)
    const parts = readdirSync(join(clone, 'scripts/lib')).filter(file => file.endsWith('.mjs'))
    expect(parts.length).toBeGreaterThan(15)
    const text = parts
      .map(file => `await import(${JSON.stringify(pathToFileURL(join(clone, 'scripts/lib', file)).href)})`)
      .join('\n')
    expect(
      execFileSync(process.execPath, ['--input-type=module', '-e', `${text}\nconsole.log('read')`], {
        cwd: clone,
        env: bareEnv(),
        encoding: 'utf8',
      }),
    ).toBe('read\n')
  })

  it(
    'the first command installs, builds, answers and signs in; Ctrl-C ends both servers',
    async () => {
      const demo = command('demo', '--', '--port', String(port))
      await until(
        () => demo.output().includes('Ctrl-C stops it'),
        PATIENCE_MS,
        () => demo.child.exitCode !== null,
      )
      expect(demo.output()).toContain(`http://127.0.0.1:${port}`)
      const page = await fetch(`http://127.0.0.1:${port}/`)
      expect([page.status, page.headers.get('content-type')]).toEqual([200, expect.stringContaining('text/html')])
      const client = new Client(`http://127.0.0.1:${port}`)
      expect(await client.post('/api/session', { signIn: 'marit', password: 'bacon-and-brine' })).toMatchObject({
        status: 200,
      })
      const running = ['app.pid', 'mariadb.pid'].map(file =>
        Number(readFileSync(join(clone, '.veldmoor/demo', file), 'utf8')),
      )
      expect(running.map(isAlive)).toEqual([true, true])
      ctrlC(demo.child.pid!)
      await demo.ended
      expect(running.map(isAlive)).toEqual([false, false])
    },
    PATIENCE_MS,
  )

  it('npm start begins a shop of its own and ends on Ctrl-C', async () => {
    // A real shop's application runs as a user of its own where it can, and has to reach its program.
    chmodSync(folder, 0o755)
    const shop = command('start', '--', '--port', String(port))
    await until(
      () => shop.output().includes('first visit'),
      PATIENCE_MS,
      () => shop.child.exitCode !== null,
    )
    expect((await new Client(`http://127.0.0.1:${port}`).get('/api/session')).body).toMatchObject({ needsSetup: true })
    ctrlC(shop.child.pid!)
    await shop.ended
    expect(shop.output()).toContain('stopping')
  })

  it('verify-book, backup, restore and export, each once', async () => {
    expect(await toItsEnd('verify-book', '--', '--demo')).toMatchObject({
      code: 0,
      output: expect.stringContaining('unbroken'),
    })
    const kept = await toItsEnd('backup', '--', '--demo')
    expect(kept).toMatchObject({ code: 0, output: expect.stringContaining('Book unbroken') })
    const file = /\S+\.sql\.gz/.exec(kept.output)![0]
    expect(await toItsEnd('restore', '--', file, '--demo')).toMatchObject({
      code: 0,
      output: expect.stringContaining('Restored. Book unbroken'),
    })
    expect(await toItsEnd('export', '--', join(folder, 'shop.json'), '--demo')).toMatchObject({
      code: 0,
      output: expect.stringContaining('The whole shop'),
    })
  })

  it('import takes the exported shop into an empty one', async () => {
    rmSync(join(clone, '.veldmoor/shop'), { recursive: true, force: true })
    expect(await toItsEnd('import', '--', join(folder, 'shop.json'))).toMatchObject({
      code: 0,
      output: expect.stringMatching(/Imported: \d+ rows.*unbroken/),
    })
    expect(await toItsEnd('verify-book')).toMatchObject({ code: 0, output: expect.stringContaining('unbroken') })
  })
})
