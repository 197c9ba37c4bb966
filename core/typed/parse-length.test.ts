import { describe, expect, it } from 'vitest'
import { parseLength } from './parse-length'

describe('thickness as people write it', () => {
  const range = { minMm: 5, maxMm: 200 }
  it.each([
    ['40', 'mm', 40],
    ['40 mm', 'in', 40],
    ['4 cm', 'mm', 40],
    ['1.5', 'in', 38.1],
    ['1 1/2 in', 'mm', 38.1],
    ['1 5/8"', 'mm', 41.275],
    ['1,6 inches', 'in', 40.64],
  ] as const)('%s (bare is %s)', (typed, bare, mm) => {
    const found = parseLength(typed, bare, range)
    expect(found.ok && found.value).toBeCloseTo(mm, 9)
  })
  it.each([
    ['40', 'in', 'length_range'],
    ['1.6', 'mm', 'length_range'],
    ['', 'mm', 'empty'],
    ['thick', 'mm', 'not_a_length'],
    ['4 feet', 'mm', 'not_a_length'],
  ] as const)('%s (bare is %s) is refused: %s', (typed, bare, code) =>
    expect(parseLength(typed, bare, range)).toMatchObject({ ok: false, code }),
  )
})
