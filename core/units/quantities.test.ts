import { describe, expect, it } from 'vitest'
import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  GRAMS_PER_OUNCE,
  GRAMS_PER_POUND,
  OUNCES_PER_POUND,
  type Grams,
  type Ppm,
} from './quantities'

describe('units', () => {
  it('a pound is 16 ounces, to the last figure of its definition', () => {
    expect(GRAMS_PER_OUNCE * OUNCES_PER_POUND).toBeCloseTo(GRAMS_PER_POUND, 12)
  })
  it('water freezes at 32 °F and boils at 212, both ways', () => {
    expect([0, 100].map(celsiusToFahrenheit)).toEqual([32, 212])
    expect([32, 212].map(fahrenheitToCelsius)).toEqual([0, 100])
  })
  it('the compiler keeps grams from passing for ppm', () => {
    const massG: Grams = 1980
    // @ts-expect-error grams are no ppm
    const wrong: Ppm = massG
    const right: Ppm = 1e6 * (massG / 13_200_000)
    expect([wrong, right]).toEqual([1980, 150])
  })
})
