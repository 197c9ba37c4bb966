import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
/** A kind of step is one thing, told in two rooms; a column of a table is called as the text of a form is. */
const TWICE_ON_PURPOSE = [/^(core\/life\/kinds|shared\/steps)\/[a-z-]+\.ts$/, /^(server\/db\/schema\/column|shared\/entry\/fields)\.ts$/]

const files = execFileSync('git', ['ls-files', 'core', 'shared', 'server', 'app'], { cwd: ROOT, encoding: 'utf8' })
  .split('\n')
  .filter(file => file.endsWith('.ts') && !/\.test\.ts$|\/migrations\/|^core\/fixtures\//.test(file))
/** Where each exported name is declared. */
function declared(): Map<string, string[]> {
  const places = new Map<string, string[]>()
  for (const file of files)
    for (const [, name] of readFileSync(resolve(ROOT, file), 'utf8').matchAll(
      /^export (?:declare )?(?:async )?(?:interface|type|function|const|class) ([A-Za-z_$][\w$]*)/gm,
    )) {
      const known = places.get(name!) ?? []
      if (!known.includes(file)) places.set(name!, [...known, file])
    }
  return places
}

it('an exported name stands for one thing', () => {
  const twice = [...declared()].filter(([, at]) => at.length > 1 && !TWICE_ON_PURPOSE.some(rooms => at.every(file => rooms.test(file))))
  expect(twice).toEqual([])
})
