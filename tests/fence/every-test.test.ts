import { execFileSync } from 'node:child_process'
import { readdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
const OURS = ['app', 'core', 'scripts', 'server', 'shared', 'tests']

it('every test file is run by one of the suites', () => {
  const there = OURS.flatMap(folder =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
      .filter(file => file.endsWith('.test.ts'))
      .map(file => `${folder}/${file.replaceAll('\\', '/')}`),
  )
  const listed = execFileSync('npx', ['vitest', 'list', '--filesOnly'], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, FORCE_COLOR: '0' },
  })
  const run = listed.split('\n').flatMap(line => /(\S+\.test\.ts)$/.exec(line.trim())?.[1] ?? [])
  expect(there.length).toBeGreaterThan(50)
  expect(there.filter(file => !run.includes(file))).toEqual([])
})
