import { readdirSync, readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
/** Ways in that no page takes: programs of a shop's own know them (docs/formats.md, “Ways in for programs”). */
const FOR_PROGRAMS = [
  '/api/calendar/[token]',
  '/api/fridges/[id]/readings',
  '/api/health',
  '/api/lots/[code]/drained',
  '/api/lots/[code]/out',
  '/api/lots/[code]/turns',
  '/api/office/fridges',
]
const filesOf = (folder: string) =>
  readdirSync(resolve(ROOT, folder), { recursive: true, encoding: 'utf8' }).map(file => file.replaceAll('\\', '/'))
const pages = filesOf('app')
  .filter(file => /\.(ts|vue)$/.test(file) && !file.endsWith('.test.ts'))
  .map(file => readFileSync(resolve(ROOT, 'app', file), 'utf8'))
  .join('\n')
/** "lots/[code]/turns.post.ts" → "/api/lots/[code]/turns" */
const routes = [
  ...new Set(
    filesOf('server/api')
      .filter(file => /\.(get|post|put|delete)\.ts$/.test(file))
      .map(file => `/api/${file.replace(/(\/index)?\.(get|post|put|delete)\.ts$/, '')}`),
  ),
]
/** Whether a page writes that path somewhere, with any expression where the route has a name. */
const isCalled = (route: string) => {
  const parts = route.split('/').map(part => (part.startsWith('[') ? '(?:\\$\\{[^`]*?\\}|[^/`\'"]+)' : part))
  return new RegExp(`${parts.join('/')}(?=[\`'"?]|\\$\\{)`).test(pages)
}

it('each way in is taken by a page, or is one for programs', () => {
  expect(routes.length).toBeGreaterThan(60)
  const unused = routes.filter(route => !isCalled(route))
  expect(unused.toSorted()).toEqual(FOR_PROGRAMS)
})
it('and those for programs are told', () => {
  const told = readFileSync(resolve(ROOT, 'docs/formats.md'), 'utf8')
  for (const route of FOR_PROGRAMS) expect(told).toContain(`\`${route}\``)
})
