import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEFAULT_NOTATION } from '#core/units/format'
import { fieldWords, seasoningWords, valueWords } from './recipe-words'

const COMMA = { ...DEFAULT_NOTATION, decimal: ',' as const }
const soy = {
  name: 'Soy sauce',
  per: 'percent' as const,
  amount: 0.35,
  saltFraction: 0.16,
  sugarFraction: 0,
  waterFraction: 0.7,
  allergens: [],
  group: 'all' as const,
}

describe('a recipe in words', () => {
  it('amounts as they were chosen', () => {
    expect(seasoningWords(soy, DEFAULT_NOTATION)).toBe('Soy sauce 0.35 %')
    expect(seasoningWords({ ...soy, per: 'g_per_kg', amount: 20, group: 'B' }, COMMA)).toBe(
      'Soy sauce 20 g per kg, pieces B',
    )
    expect(seasoningWords({ ...soy, per: 'g_per_piece', amount: 1.25 }, COMMA)).toBe('Soy sauce 1,25 g per piece')
  })
  it.each([
    ['saltShare', 0.0255, '2.55 %'],
    ['sugarShare', 0, '0 %'],
    ['pickUp', 0.12, '12 %'],
    ['waterShare', null, 'none'],
    ['nitritePpm', 149.5, '149.5 ppm'],
    ['method', 'wet_pick_up', 'Brine by pick-up'],
    ['agent', 'no_1', 'Curing salt no. 1'],
    ['purpose', 'dried', 'hung to dry'],
    ['saltBasis', 'added', 'as added'],
    ['sides', { flesh: 0.6, fat: 0.3, edges: 0.1 }, 'flesh 60 %, fat 30 %, edges 10 %'],
    ['days', { readyFrom: 7, bestBy: 14 }, 'ready from 7, best by 14'],
    ['cut', 'jowl', 'jowl'],
    ['seasoning', soy, 'Soy sauce 0.35 %'],
  ] as const)('%s %j: %s', (field, value, words) => expect(valueWords(field, value, DEFAULT_NOTATION)).toBe(words))
  it('a change that was made can be read: values that differ read differently', () => {
    const share = fc.integer({ min: 100, max: 1500 })
    fc.assert(
      fc.property(share, share, fc.constantFrom('saltShare', 'sugarShare', 'pickUp'), (a, b, field) => {
        fc.pre(a !== b)
        expect(valueWords(field, a / 10_000, COMMA)).not.toBe(valueWords(field, b / 10_000, COMMA))
      }),
    )
  })
  it('every field has a name', () => expect(fieldWords('waterShare')).toBe('Water'))
})
