import { describe, expect, it } from 'vitest'
import { parseSpoons } from './parse-spoons'

describe('amounts in spoons as people write them', () => {
  it.each([
    ['3 tsp', 'us', 14.78676478125],
    ['1 Tablespoon', 'us', 14.78676478125],
    ['16 tbsp', 'us', 236.5882365],
    ['1 1/2 cups', 'metric', 375],
    ['1 tbsp', 'australian', 20],
    ['1 tbsp', 'metric', 15],
    ['2 level tsp', 'metric', 10],
    ['½ tsp', 'metric', 2.5],
    ['1½ cups', 'metric', 375],
    ['2 ⅓ tsp', 'metric', 35 / 3],
    ['30 ml', 'us', 30],
  ] as const)('%s (%s)', (typed, system, ml) => {
    const found = parseSpoons(typed, system)
    expect(found.ok && found.value.ml).toBeCloseTo(ml, 9)
  })
  it.each([
    ['2 tsp per 3 kg', 3000],
    ['1 tbsp for 5 lb', 5 * 453.59237],
    ['1 tsp per kg', 1000],
    ['1 oz / 10 lb', 4535.9237],
    ['4 tsp', null],
  ] as const)('%s', (typed, perMeatG) => {
    const found = parseSpoons(typed, 'us')
    if (perMeatG === null) expect(found).toMatchObject({ ok: true, value: { perMeatG: null } })
    else expect(found.ok && found.value.perMeatG).toBeCloseTo(perMeatG, 9)
  })
  it.each([
    ['', 'empty'],
    ['a pinch', 'not_an_amount'],
    ['2', 'not_an_amount'],
    ['2 handfuls', 'unknown_unit'],
    ['0 tsp', 'amount_range'],
    ['2 tsp per 3 cups', 'unknown_unit'],
    ['-1 tsp', 'not_an_amount'],
  ])('refuses %j: %s', (typed, code) => expect(parseSpoons(typed, 'us')).toMatchObject({ ok: false, code }))
})
