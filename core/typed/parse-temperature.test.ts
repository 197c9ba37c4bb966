import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseTemperature } from './parse-temperature'
import { parsePercent } from './parse-fraction'
import { celsiusToFahrenheit, fahrenheitToCelsius } from '../units/quantities'

describe('temperatures and shares as typed', () => {
  it.each([
    ['3.5', 'C', 3.5],
    ['38 F', 'C', 10 / 3],
    ['3,5 °C', 'F', 3.5],
    ['130°f', 'C', 490 / 9],
    ['-1', 'C', -1],
  ])('%s (bare %s)', (text, unit, tempC) => {
    const parsed = parseTemperature(text as string, unit as 'C' | 'F')
    expect(parsed.ok && parsed.value).toBeCloseTo(tempC as number, 12)
  })
  it('refuses what no fridge or smoker shows', () => {
    expect(parseTemperature('900', 'C')).toMatchObject({ code: 'temperature_range' })
    expect(parseTemperature('warm', 'C')).toMatchObject({ code: 'not_a_number' })
    expect(parseTemperature('', 'C')).toMatchObject({ code: 'empty' })
  })
  it('turns °C to °F and back', () => {
    fc.assert(
      fc.property(fc.double({ min: -40, max: 300, noNaN: true }), (tempC) => {
        expect(fahrenheitToCelsius(celsiusToFahrenheit(tempC))).toBeCloseTo(tempC, 10)
      }),
    )
  })
  it('reads per cent', () => {
    expect(parsePercent('2,5 %', { min: 0, max: 10 })).toEqual({ ok: true, value: 0.025 })
    expect(parsePercent('25', { min: 0, max: 10 })).toMatchObject({ code: 'percent_range' })
  })
})
