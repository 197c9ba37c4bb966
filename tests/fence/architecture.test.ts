import { createRequire } from 'node:module'
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
const TEXT = readFileSync(resolve(ROOT, 'docs/architecture.md'), 'utf8')
/** Paths as the text names them; what stands for any room or name has none of its own. */
const paths = [...TEXT.matchAll(/`((?:app|core|docs|scripts|server|shared|tests)\/[\w./[\]-]*)`/g)].map(match => match[1]!)
const folders = (path: string) =>
  readdirSync(resolve(ROOT, path)).filter(name => statSync(resolve(ROOT, path, name)).isDirectory())

describe('a stranger\'s walk by docs/architecture.md', () => {
  it.each([...new Set(paths)].filter(path => !path.includes('/X/')))('%s is there', path =>
    expect(existsSync(resolve(ROOT, path))).toBe(true))
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
    const row = TEXT.split('\n').find(line => line.startsWith('| `core/` |'))!
    for (const subject of folders('core')) expect(row).toMatch(new RegExp(`\\b${subject}\\b`))
  })
})
