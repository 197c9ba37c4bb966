import fc from 'fast-check'
import { expect, it } from 'vitest'
import { toDivision } from './to-division'

it.each([
  [10.449, 0.1, 10.4],
  [10.46, 0.1, 10.5],
  [2.3456, 0.01, 2.35],
  [1847, 5, 1845],
  [1848, 5, 1850],
  [0.04, 0.1, 0],
])('%d g on a scale that reads to %d g is %d g', (massG, readabilityG, shown) =>
  expect(toDivision(massG, readabilityG)).toBe(shown))
it('is never further off than half a division, and stays what it is when weighed again', () =>
  fc.assert(
    fc.property(fc.double({ min: 0, max: 50_000, noNaN: true }), fc.constantFrom(0.01, 0.1, 1, 2, 5), (massG, readabilityG) => {
      const shown = toDivision(massG, readabilityG)
      expect(Math.abs(shown - massG)).toBeLessThanOrEqual(readabilityG / 2 + 1e-9)
      expect(toDivision(shown, readabilityG)).toBe(shown)
    }),
  ))
