import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { at, ROOT } from './paths.mjs'
import { run } from './run.mjs'

const SOURCES = ['app', 'core', 'server', 'shared', 'public', 'nuxt.config.ts', 'package-lock.json']
const stampPath = at('.output', 'sources.sha256')

function* filesIn(path) {
  if (!existsSync(path)) return
  const entries = readdirSync(path, { withFileTypes: true }).toSorted((a, b) => a.name < b.name ? -1 : 1)
  for (const entry of entries) {
    const full = join(path, entry.name)
    if (entry.isDirectory()) yield* filesIn(full)
    else yield full
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

/** Builds when the sources changed since the last build. */
export async function ensureBuild() {
  const hash = hashSources()
  if (existsSync(stampPath) && readFileSync(stampPath, 'utf8') === hash) return 'up to date'
  await run('npx', ['nuxt', 'build'], { cwd: ROOT })
  writeFileSync(stampPath, hash)
  return 'built'
}
