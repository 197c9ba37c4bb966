import fc from 'fast-check'
import { expect, it } from 'vitest'
import { hasForeignDigits, parseDecimal, plainText } from './parse-decimal'

it.each([
  ['1.98', 1.98],
  ['1,98', 1.98],
  ['-1.5', -1.5],
  ['\u22121.5', -1.5],
  ['.5', 0.5],
  ['6 1/2', 6.5],
  ['-1/2', -0.5],
  ['\u00a0 7 ', 7],
  ['0,840', 0.84],
])('"%s" is %d', (typed, value) => expect(parseDecimal(typed)).toEqual({ ok: true, value }))
it.each([
  ['', 'empty'],
  ['  ', 'empty'],
  ['1,840', 'ambiguous_comma'],
  ['12,000,000', 'ambiguous_comma'],
  ['1e3', 'not_a_number'],
  ['1/0', 'not_a_number'],
  ['1.2.3', 'not_a_number'],
  ['two', 'not_a_number'],
  ['-', 'not_a_number'],
  ['\u0664', 'foreign_digits'],
])('"%s" is refused: %s', (typed, code) => expect(parseDecimal(typed)).toMatchObject({ ok: false, code }))
it('a number written with point or comma reads as itself', () =>
  fc.assert(
    fc.property(fc.integer({ min: -99_999, max: 99_999 }), (hundredths) => {
      const text = (hundredths / 100).toFixed(2)
      for (const typed of [text, text.replace('.', ',')])
        expect(parseDecimal(typed)).toMatchObject({ value: expect.closeTo(hundredths / 100, 9) })
    }),
  ))
it('spaces and minus signs of copied text are plain ones; digits of other scripts are seen', () => {
  expect(plainText('\u2009\u20133\u202f')).toBe('-3')
  expect([hasForeignDigits('12'), hasForeignDigits('1\u0968')]).toEqual([false, true])
})
