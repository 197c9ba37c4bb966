import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { at, ROOT } from './paths.mjs'
import { run } from './run.mjs'

const SOURCES = ['app', 'core', 'server', 'shared', 'public', 'nuxt.config.ts', 'package-lock.json']

/** Every file that a build is made of; tests lie beside them and are none. */
function* filesIn(path) {
  if (!existsSync(path)) return
  const entries = readdirSync(path, { withFileTypes: true }).toSorted((a, b) => (a.name < b.name ? -1 : 1))
  for (const entry of entries) {
    const full = join(path, entry.name)
    if (entry.isDirectory()) yield* filesIn(full)
    else if (!entry.name.endsWith('.test.ts')) yield full
  }
}

function hashSources() {
  const hash = createHash('sha256')
  for (const source of SOURCES) {
    const path = at(source)
    const files = source.includes('.') ? [path] : filesIn(path)
    for (const file of files) hash.update(file.slice(ROOT.length)).update(readFileSync(file))
  }
  return hash.digest('hex')
}

/** Newest builds that are kept: a running shop may still be reading from the one before. */
const KEPT_BUILDS = 3

function dropOldBuilds(folder) {
  const builds = readdirSync(folder, { withFileTypes: true })
    .filter(entry => entry.isDirectory())
    .map(entry => ({ path: join(folder, entry.name), madeMs: statSync(join(folder, entry.name)).mtimeMs }))
    .toSorted((a, b) => b.madeMs - a.madeMs)
  for (const build of builds.slice(KEPT_BUILDS)) rmSync(build.path, { recursive: true, force: true })
}

let preparing = null

/**
 * What Nuxt writes for TypeScript: lint and types read it, and so does a build, in whose own folder it is not. Once a
 * process.
 */
export const prepareTypes = () => (preparing ??= run('npx', ['nuxt', 'prepare'], { cwd: ROOT }))

/** The build of the sources as they are: where its server's entry is, and in words whether it had to be made. */
export async function ensureBuild() {
  const hash = hashSources().slice(0, 16)
  const folder = at('.output')
  const entry = join(folder, hash, 'server', 'index.mjs')
  const done = join(folder, hash, 'complete')
  if (existsSync(done)) return { entry, words: 'up to date' }
  await prepareTypes()
  await run('npx', ['nuxt', 'build'], { cwd: ROOT, env: { VELDMOOR_BUILD: join(folder, hash) } })
  // Written last, so that a build that was cut short is made again.
  writeFileSync(done, '')
  dropOldBuilds(folder)
  return { entry, words: 'built' }
}
