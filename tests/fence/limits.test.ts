import { existsSync, readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { describe, expect, it } from 'vitest'
import { celsiusToFahrenheit, MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '#core/units/quantities'

const ROOT = resolve(import.meta.dirname, '../..')
const ROWS = readFileSync(resolve(ROOT, 'docs/limits.md'), 'utf8')
  .split('\n')
  .filter(line => /^\| (?!---|what )/.test(line))
  .map(line => line.slice(1, -1).split('|').map(cell => cell.trim()) as [what: string, figure: string, string, string])

const round = (n: number, decimals: number) => String(Number(n.toFixed(decimals)))
/** Ways to write a figure, by the unit that its name ends in. */
function written(name: string, value: number | string): string[] {
  // A time of the clock.
  if (typeof value === 'string') return [value]
  if (/(Share|_SHARE)$/.test(name)) return [`${round(value * 100, 3)} %`, ...(value === 0.2 ? ['a fifth'] : [])]
  if (/(C|_C)$/.test(name)) return [`${round(value, 1)} °C`, round(value, 1), `${round(celsiusToFahrenheit(value), 0)} °F`]
  if (/(Ms|_MS)$/.test(name))
    return [
      `${value / MS_PER_HOUR} h`,
      `${value / MS_PER_MINUTE} min`,
      `${value / MS_PER_DAY} days`,
      // "above 15 °C 8 and 24"
      String(value / MS_PER_HOUR),
    ]
  if (/(Mm|_MM)$/.test(name)) return [`${value} mm`]
  if (/_S$/.test(name)) return [`${value} s`]
  if (/_BYTES$/.test(name)) return [`${value / 1e9} GB`]
  return [value.toLocaleString('en')]
}
/** Every figure in an exported value; what is boundless is not written. */
function figuresIn(name: string, value: unknown): [name: string, value: number | string][] {
  if (typeof value === 'string' && /^\d\d:\d\d$/.test(value)) return [[name, value]]
  if (typeof value === 'number') return Number.isFinite(value) ? [[name, value]] : []
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, part]) => figuresIn(/^\d+$/.test(key) ? name : key, part))
}
const inCell = (cell: string, text: string): boolean =>
  new RegExp(`(?<![\\d.,])${text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\d]|[.,]\\d)`).test(cell)

async function named(path: string): Promise<Record<string, unknown>> {
  return (await import(/* @vite-ignore */ resolve(ROOT, path))) as Record<string, unknown>
}
/** `path.ts` and the `NAMES` after it. */
const codeOf = (cell: string) =>
  [...cell.matchAll(/`([\w./-]+\/(?:[\w-]+\.ts)?)`((?: `[A-Z_0-9]+`)*)/g)].map(match => ({
    path: match[1]!,
    names: [...match[2]!.matchAll(/`([A-Z_0-9]+)`/g)].map(name => name[1]!),
  }))

/** A figure before "ppm", "mg/kg", "/", a comma or the end, in a row of ppm. */
const PPM_FIGURE = /(?<![\w.,])(\d[\d,]*(?:\.\d+)?)(?= (?:\/|ppm|mg\/kg|nitr)|,|;|$)/g

describe('the table of limits', () => {
  it('is read', () => {
    expect(ROWS.length).toBeGreaterThan(40)
    expect(ROWS.flatMap(([, , , code]) => codeOf(code)).flatMap(code => code.names).length).toBeGreaterThan(35)
  })
  it('gives each ppm of the shipped sets as the sets do', async () => {
    let path = ''
    let checked = 0
    for (const [what, figure, , code] of ROWS) {
      path = codeOf(code)[0]?.path ?? path
      if (!path.includes('/sets/')) continue
      const known = new Set<unknown>(figuresIn('', await named(path)).map(([, value]) => value))
      for (const [, typed] of figure.replace(/\([^)]*\)/g, '').matchAll(PPM_FIGURE)) {
        expect([...known], `${what}: ${typed}`).toContain(Number(typed!.replace(/,/g, '')))
        checked += 1
      }
    }
    expect(checked).toBeGreaterThan(14)
  })
  it.each(ROWS.filter(([, , , code]) => code !== 'same'))('%s', async (_what, figure, _source, code) => {
    const places = codeOf(code)
    expect(places.length, code).toBeGreaterThan(0)
    for (const { path, names } of places) {
      expect(existsSync(resolve(ROOT, path)), path).toBe(true)
      if (names.length === 0) continue
      const exported = await named(path)
      for (const name of names) {
        expect(Object.keys(exported), path).toContain(name)
        const said = figuresIn(name, exported[name])
        expect(said.length, name).toBeGreaterThan(0)
        // A table of rows speaks in several lines: each of them says at least one of its figures.
        const found = said.filter(([key, value]) => written(key, value).some(text => inCell(figure, text)))
        expect(found.length, `${name} in "${figure}"`).toBeGreaterThan(name === name.replace(/RULES|FAILURES/, '') ? said.length - 1 : 0)
      }
    }
  })
})
