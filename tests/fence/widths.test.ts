import { readdirSync, readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { expect, it } from 'vitest'

const APP = resolve(import.meta.dirname, '../../app')
const read = (file: string) => readFileSync(resolve(APP, file), 'utf8')
const files = readdirSync(APP, { recursive: true, encoding: 'utf8' }).filter(file => /\.(vue|css)$/.test(file))
const named = [...read('style/widths.css').matchAll(/--(\w+) \(max-width: (\d+)px\)/g)].map(([, name, px]) => ({
  name: name!,
  px: Number(px),
}))

it('pages change at three widths, each called by its name', () => {
  expect(named.map(width => width.name)).toEqual(['phone', 'narrow', 'tablet'])
  const asked = files.flatMap(file =>
    [...read(file).matchAll(/@media ([^{]*)\{/g)].map(([, query]) => ({ file, query: query!.trim() })),
  )
  expect(asked.filter(({ query }) => /width/.test(query))).toEqual([])
  const used = new Set(asked.flatMap(({ query }) => /--(\w+)/.exec(query)?.[1] ?? []))
  expect([...used].toSorted()).toEqual(named.map(width => width.name).toSorted())
})
it('components of the library change at the same ones', () => {
  const [, sm, md, lg] = /sm: (\d+), md: (\d+), lg: (\d+)/.exec(read('plugins/vuetify.ts'))!.map(Number)
  expect([sm, md, lg]).toEqual(named.map(width => width.px + 1))
})
