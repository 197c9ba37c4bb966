import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
const config = createRequire(import.meta.url)('./fence.cjs') as { forbidden: { name: string }[] }

const FLOORS = createRequire(import.meta.url)('./service-floors.cjs') as string[][]

/** One breach a rule: the file and what it wrongly imports. */
const BREACHES: Record<string, [file: string, code: string]> = {
  'core-imports-only-core': ['core/a.ts', 'import { z } from \'zod\'; export const a = z'],
  'core-tests-stay-headless': ['core/a.test.ts', 'import { ref } from \'vue\'; export const a = ref'],
  'contracts-stay-shared': ['shared/contracts/a.ts', 'import { ref } from \'vue\'; export const a = ref'],
  'browser-never-server': [
    'app/pages/a.vue',
    '<script setup lang="ts">\nimport { good } from '
    + '\'../../server/services/good\'\nconsole.log(good)\n</script>\n<template><p /></template>',
  ],
  'server-never-browser': [
    'server/services/b.ts',
    'import { good } from \'../../app/stores/good\'; export const b = good',
  ],
  'routes-are-thin': ['server/api/a.ts', 'import { good } from \'../db/good\'; export const a = good'],
  'services-know-no-http': ['server/services/c.ts', 'import { createError } from \'h3\'; export const c = createError'],
  'migrations-are-frozen': [
    'server/db/migrations/a.ts',
    'import { good } from \'../../../core/good\'; export const a = good',
  ],
  'workers-are-headless': ['app/workers/a.ts', 'import { ref } from \'vue\'; export const a = ref'],
  'workplaces-are-apart': ['app/components/bench/a.ts', 'import { good } from \'../store/good\'; export const a = good'],
  'services-use-repositories': ['server/services/d.ts', 'import { Op } from \'sequelize\'; export const d = Op'],
  'commands-start-bare': ['scripts/lib/a.mjs', 'import { createJiti } from \'jiti\'; export const a = createJiti'],
  'no-unresolvable': ['core/b.ts', 'import { a } from \'./nowhere\'; export const b = a'],
  'no-cycles': ['core/c.ts', 'import { d } from \'./d\'; export const c = () => d'],
}
/** A folder of services that imports from a neighbour, or from the floor above. */
const above = (name: string, n: number) => [...FLOORS[n]!, ...(FLOORS[n + 1] ?? [])].find(other => other !== name)
for (const [n, names] of FLOORS.entries())
  for (const name of names) {
    const other = above(name, n)
    if (other)
      BREACHES[`services-look-down-from-${name}`] = [
        `server/services/${name}/z.ts`, `import { good } from '../${other}/good'; export const z = good`,
      ]
  }
const GOOD = [
  'server/services/good.ts',
  ...FLOORS.flat().map(name => `server/services/${name}/good.ts`),
  'server/db/good.ts',
  'app/stores/good.ts',
  'app/components/store/good.ts',
  'core/good.ts',
]

/** Two folders in a ring, each by a type alone, though no file is in one. */
const RING = {
  'shared/e/up.ts': 'import type { Low } from \'../f/low\'; export type Up = Low',
  'shared/e/ground.ts': 'export type Ground = string',
  'shared/f/low.ts': 'export type Low = string',
  'shared/f/back.ts': 'import type { Ground } from \'../e/ground\'; export type Back = Ground',
}

let folder: string
let found: { rule: { name: string }; from: string }[]
let rings: typeof found

/** What a fence says of the planted folder. */
function cruise(fence: string): typeof found {
  const report = () =>
    execFileSync(
      join(ROOT, 'node_modules/.bin/depcruise'),
      ['--config', join(ROOT, 'tests/fence', fence), '--output-type', 'json', 'core', 'shared', 'server', 'app', 'scripts'],
      { cwd: folder, encoding: 'utf8', maxBuffer: 1e8 },
    )
  let output: string
  try {
    output = report()
  }
  catch (error) {
    // Violations end it with a number; the report is on its output all the same.
    output = String((error as { stdout: string }).stdout)
  }
  return (JSON.parse(output) as { summary: { violations: typeof found } }).summary.violations
}

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'veldmoor-fence-'))
  const write = (path: string, text: string) => {
    mkdirSync(dirname(join(folder, path)), { recursive: true })
    writeFileSync(join(folder, path), text)
  }
  for (const path of GOOD) write(path, 'export const good = 1')
  for (const [path, code] of Object.values(BREACHES)) write(path, code)
  for (const [path, code] of Object.entries(RING)) write(path, code)
  write('core/d.ts', 'import { c } from \'./c\'; export const d = () => c')
  write(
    'tsconfig.fence.json',
    JSON.stringify({
      compilerOptions: { module: 'esnext', moduleResolution: 'bundler', target: 'esnext' },
      include: ['core', 'shared', 'server', 'app'],
    }),
  )
  symlinkSync(join(ROOT, 'node_modules'), join(folder, 'node_modules'))
  found = cruise('fence.cjs')
  rings = cruise('floors.cjs')
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

it('plants a breach for every rule', () =>
  expect(Object.keys(BREACHES).sort()).toEqual(config.forbidden.map(rule => rule.name).sort()))

it.each(Object.entries(BREACHES))('%s reports %j', (rule, [file]) =>
  expect(found.filter(violation => violation.rule.name === rule).map(violation => violation.from)).toContain(file),
)

it('no-folder-circles reports both folders of a ring', () =>
  // Breaches planted for other rules make rings elsewhere.
  expect(rings.filter(ring => ring.from.startsWith('shared/')).map(ring => [ring.rule.name, ring.from]).sort()).toEqual([
    ['no-folder-circles', 'shared/e'],
    ['no-folder-circles', 'shared/f'],
  ]))
