import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEFAULT_NOTATION, decimalsFor, formatExact, formatMeat, formatNumber, formatPpm, formatTemperature } from './format'
import { parseWeight } from '../typed/parse-weight'

const METRIC = DEFAULT_NOTATION
const US = { mass: 'us', temperature: 'F', decimal: '.', dates: 'mdy' } as const
const COMMA = { ...METRIC, decimal: ',' } as const

describe('figures as people read them', () => {
  it.each([
    [0, '0'],
    [100, '100'],
    [0.35, '0.35'],
    [20.5, '20.5'],
    [0.1 + 0.2, '0.3'],
    [1e-7, '0'],
    [150.0000004, '150'],
    [-2.5, '\u22122.5'],
  ])('%d as it was chosen: %s', (value, text) => {
    expect(formatExact(value, '.')).toBe(text)
    expect(formatExact(value, ',')).toBe(text.replace('.', ','))
  })
  it('shows meat in the person\'s units', () => {
    expect(formatMeat(1840, METRIC)).toBe('1.840 kg')
    expect(formatMeat(1840, COMMA)).toBe('1,840 kg')
    expect(formatMeat(840, METRIC)).toBe('840 g')
    expect(formatMeat(999.6, METRIC)).toBe('1.000 kg')
    expect(formatMeat(453.59237, US)).toBe('1 lb 0.0 oz')
    expect(formatMeat(453.5, US)).toBe('1 lb 0.0 oz')
  })
  it('shows what is really below nought with a true minus, and no negative nought', () => {
    expect(formatTemperature(-1.5, METRIC)).toBe('−1.5 °C')
    expect(formatNumber(-0.01, 1, '.')).toBe('0.0')
    expect(formatPpm(149.457, METRIC)).toBe('149 ppm')
  })
  it.each([
    [5, 0],
    [1, 0],
    [0.5, 1],
    [0.1, 1],
    [0.05, 2],
    [0.01, 2],
    [0.001, 3],
  ])('a scale that reads to %d g shows %d decimals', (readability, decimals) =>
    expect(decimalsFor(readability)).toBe(decimals),
  )

  it('a shown US weight, typed again, is the same to half of the last figure', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 60_000 }), (grams) => {
        const back = parseWeight(formatMeat(grams, US), { minG: 1, maxG: 1e6 })
        expect(back.ok && Math.abs(back.value.netG - grams)).toBeLessThanOrEqual(1.4175)
      }),
    )
  })
})
