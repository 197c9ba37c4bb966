import { readdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
const FOLDERS = ['app', 'core', 'scripts', 'server', 'shared']
/** A migration is frozen, its words too. */
const isOurs = (file: string) => /(?<!\.test)\.(ts|vue|mjs)$/.test(file) && !file.includes('migrations')

/** Words with which no sentence begins by what the thing is. */
const FRAGMENT
  = /^(Of|By|On|To|For|From|With|Nor|But|And|At|Until|Also|Over|Under|Between|Before|After|Beside|Behind|Or|In|Into|As|Its?) /

/** The first words of each comment before a declaration, with where it stands. */
function comments(file: string, text: string): { at: string; says: string }[] {
  return [...text.matchAll(/\/\*\*(.*?)\*\//gs)].map(({ 1: body, index }) => ({
    at: `${file}:${text.slice(0, index).split('\n').length}`,
    says: body!.replaceAll(/\s*\n\s*\* ?/g, ' ').trim(),
  }))
}
const fragments = (file: string, text: string) =>
  comments(file, text).flatMap(({ at, says }) => (FRAGMENT.test(says) ? [`${at}: ${says}`] : []))

describe('a comment begins with what the thing is', () => {
  it('everywhere', () => {
    const files = FOLDERS.flatMap(folder =>
      readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
        .filter(isOurs)
        .map(file => `${folder}/${file}`),
    )
    const read = files.map(file => [file, readFileSync(join(ROOT, file), 'utf8')] as const)
    expect(read.flatMap(([file, text]) => comments(file, text)).length).toBeGreaterThan(2000)
    expect(read.flatMap(([file, text]) => fragments(file, text))).toEqual([])
  })
  it('a fragment is found', () => {
    const planted = 'const a = 1\n/**\n * Of the lot, all that\n * was packed.\n */\nconst b = 2\n/** The lot. */\n'
    expect(fragments('x.ts', planted)).toEqual(['x.ts:2: Of the lot, all that was packed.'])
  })
})
