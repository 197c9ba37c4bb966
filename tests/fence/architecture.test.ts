import { execFileSync } from 'node:child_process'
import { createRequire } from 'node:module'
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
const TEXT = readFileSync(resolve(ROOT, 'docs/architecture.md'), 'utf8')
const DOCS = readdirSync(resolve(ROOT, 'docs')).filter(name => name.endsWith('.md'))
/** Paths as a text names them; what stands for any room or name has none of its own. */
const pathsIn = (text: string) =>
  [...text.matchAll(/`((?:app|core|docs|scripts|server|shared|tests)\/[\w./[\]-]*)`/g)]
    .map(match => match[1]!)
    .filter(path => !path.includes('/X/'))
/** A file by its name alone, as a walk names the next one in the same folder. */
const namesIn = (text: string) => [...text.matchAll(/`([\w-]+\.(?:ts|vue|mjs|cjs|css))`/g)].map(match => match[1]!)
const files = new Set(
  execFileSync('git', ['ls-files'], { cwd: ROOT, encoding: 'utf8' }).split('\n').map(path => path.split('/').at(-1)!),
)
const folders = (path: string) =>
  readdirSync(resolve(ROOT, path)).filter(name => statSync(resolve(ROOT, path, name)).isDirectory())

describe('a stranger\'s walk by docs/architecture.md', () => {
  it.each([...new Set(pathsIn(TEXT))])('%s is there', path => expect(existsSync(resolve(ROOT, path))).toBe(true))
  it.each(DOCS)('docs/%s names no path, and no file, that is not there', (name) => {
    const text = readFileSync(resolve(ROOT, 'docs', name), 'utf8')
    expect(pathsIn(text).filter(path => !existsSync(resolve(ROOT, path)))).toEqual([])
    expect(namesIn(text).filter(file => !files.has(file))).toEqual([])
  })
  it('tells the floors of the services as the fence holds them, each folder on one', () => {
    const floors = createRequire(import.meta.url)('./service-floors.cjs') as string[][]
    const told = [...TEXT.matchAll(/^\d+\. ((?:`[a-z-]+`(?: \([^)]*\))?[,;.] ?)+)$/gm)].map(line =>
      [...line[1]!.matchAll(/`([a-z-]+)`/g)].map(name => name[1]!))
    expect(told).toEqual(floors)
    expect(folders('server/services').toSorted()).toEqual(floors.flat().toSorted())
  })
  it('names every room of the house, and every subject of the core', () => {
    for (const room of ['app', 'server', 'shared']) {
      const known = folders(room).filter(name => !['layouts', 'middleware', 'plugins', 'types'].includes(name))
      for (const name of known) expect(TEXT, `${room}/${name}`).toContain(`${room}/${name}/`)
    }
    const core = /^- `core\/`:[^]*?(?=\n- )/m.exec(TEXT)![0]
    for (const subject of folders('core')) expect(core).toMatch(new RegExp(`\\b${subject}\\b`))
  })
  it('can be read without scrolling sideways', () => {
    expect(TEXT.split('\n').filter(line => line.length > 120)).toEqual([])
  })
})
