import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { GRAMS_PER_OUNCE, GRAMS_PER_POUND } from '../units/quantities'
import { parseWeight } from './parse-weight'

const ANY = { minG: 1e-6, maxG: 1e6 }
const net = (text: string) => {
  const parsed = parseWeight(text, ANY)
  return parsed.ok ? parsed.value.netG : parsed.code
}

describe('weights as people type them', () => {
  it.each([
    ['4 lb 6.5 oz', 4 * GRAMS_PER_POUND + 6.5 * GRAMS_PER_OUNCE],
    ['4lb6', 4 * GRAMS_PER_POUND + 6 * GRAMS_PER_OUNCE],
    ['4 LBS 6 1/2 oz', 4 * GRAMS_PER_POUND + 6.5 * GRAMS_PER_OUNCE],
    ['1.98 kg', 1980],
    ['1,98 kg', 1980],
    ['1980', 1980],
    ['1980g', 1980],
    ['\u00a01980 g ', 1980],
    ['2450 - 470', 1980],
    ['2.45 kg − 470 g', 1980],
    ['.5 kg', 500],
    ['0,500 kg', 500],
  ])('%s', (text, grams) => expect(net(text)).toBeCloseTo(grams as number, 9))

  it.each([
    ['', 'empty'],
    ['  ', 'empty'],
    ['0', 'not_positive'],
    ['-5', 'not_positive'],
    ['−5', 'not_positive'],
    ['NaN', 'not_a_weight'],
    ['1e9', 'not_a_weight'],
    ['Infinity', 'not_a_weight'],
    ['4 lb 20 oz', 'ounces_over_16'],
    ['٤ kg', 'foreign_digits'],
    ['１９８０', 'foreign_digits'],
    ['470 - 2450', 'tare_above_gross'],
    ['500-500', 'tare_above_gross'],
    ['5 lb - 1', 'tare_unit_missing'],
    ['1,840', 'ambiguous_comma'],
    ['1,840 kg', 'ambiguous_comma'],
    ['1.840,5', 'not_a_number'],
    ['5 stone', 'not_a_weight'],
    ['<b>5</b>', 'not_a_weight'],
    ['1-2-3', 'not_a_weight'],
    ['999999999', 'too_heavy'],
    ['1/0 kg', 'not_a_number'],
  ])('refuses %j as %s', (text, code) => expect(net(text)).toBe(code))

  it('says which way a weight leaves its range', () => {
    expect(parseWeight('1.98', { minG: 20, maxG: 60_000 })).toMatchObject({ ok: false, code: 'too_light' })
    expect(parseWeight('61 kg', { minG: 20, maxG: 60_000 })).toMatchObject({ ok: false, code: 'too_heavy' })
  })

  it('reads back what it writes, in every unit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9_999_999 }), (tenths) => {
        const grams = tenths / 10
        for (const [unit, perUnit] of [
          ['g', 1],
          ['kg', 1000],
          ['lb', GRAMS_PER_POUND],
          ['oz', GRAMS_PER_OUNCE],
        ] as const) {
          const text = `${(grams / perUnit).toFixed(9)} ${unit}`
          expect(net(text)).toBeCloseTo(grams, 4)
          expect(net(text.replace('.', ','))).toBe(net(text))
        }
      }),
    )
  })

  it('never throws and never returns a weight that is not a positive finite number', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const parsed = parseWeight(text, ANY)
        if (parsed.ok) expect(parsed.value.netG > 0 && Number.isFinite(parsed.value.netG)).toBe(true)
      }),
    )
  })
})
