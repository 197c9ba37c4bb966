import { readdirSync } from 'node:fs'
import { resolve } from 'node:path'
import { expect, it } from 'vitest'
import { PAGES } from './pages'

/** Where nobody is signed in yet. */
const DOORS = ['/set-up', '/sign-in']
/** Around its pages, and no page itself. */
const FRAMES = ['/office.vue']

it('every file of a page is in the list, once, and every page of the list has its file', () => {
  const folder = resolve(import.meta.dirname, '../pages')
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .map(file => `/${file.replaceAll('\\', '/')}`)
    .filter(file => file.endsWith('.vue') && !FRAMES.includes(file))
    .map(file => file.replace(/(\/index)?\.vue$/, '') || '/')
  expect(PAGES.map(page => page.path).toSorted()).toEqual(files.filter(path => !DOORS.includes(path)).toSorted())
})
it('a page that is reached by a code is looked at by one', () => {
  for (const { path, seen } of PAGES.filter(page => page.path.includes('['))) expect(seen?.length, path).toBeGreaterThan(0)
})
