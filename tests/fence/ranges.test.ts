import { readdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
const FOLDERS = ['shared/contracts', 'shared/steps', 'shared/entry']

/**
 * Figures that a contract gives a number by itself. Lengths of texts and lists are how much an entry holds, and 0 and 1
 * are no figures: what else a number may be stands in `core/rules/`.
 */
const OWN_FIGURE = /z\s*\.(?:coerce\.)?(?:number|int)\(\)(?:\.int\(\))?(?:\.(?:min|max)\([\w. ]+\))*?\.(?:min|max)\((?![01][,)])\d/g
const OWN_RANGE = /(?:number|whole|decimal|percent|agentShare)\(\s*(?:-?\d|\{[^}]*m(?:in|ax): (?![01]\b)\d)/g
const OWN_WEIGHT = /m(?:in|ax)G: \d/g
/** A page of a list, and the last instant that a date holds. */
const NO_ENTRY = [/readingsPageQuery/, /instantMs/]

const faults = (text: string) =>
  text
    .split('\n')
    .filter(line => !NO_ENTRY.some(one => one.test(line)))
    .filter(line => [OWN_FIGURE, OWN_RANGE, OWN_WEIGHT].some(pattern => line.search(pattern) >= 0))

describe('each contract takes its ranges from the rules', () => {
  it.each(FOLDERS)('in %s', (folder) => {
    const files = readdirSync(join(ROOT, folder)).filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    expect(files.length).toBeGreaterThan(2)
    expect(files.flatMap(file => faults(readFileSync(join(ROOT, folder, file), 'utf8')).map(line => `${file}: ${line}`))).toEqual([])
  })
  it.each([
    'days: z.int().min(1).max(90),',
    'days: z.number().int().min(2),',
    'share: percent(10, 90),',
    'share: decimal({ min: 0, max: 20 }),',
    'weight: weight({ minG: 50, maxG }),',
  ])('a figure of its own is found: %s', line => expect(faults(line)).toHaveLength(1))
  it.each(['n: z.int().min(1).max(MOST_PIECES)', 'name: text().max(64)', 'id: z.number().int().min(1)', 'list.min(1).max(20)'])(
    'and no other: %s',
    line => expect(faults(line)).toEqual([]),
  )
})
