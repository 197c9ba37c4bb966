import fc from 'fast-check'
import { expect, it } from 'vitest'
import { sumOf } from './sum-of'

it('adds one figure of each row, whatever their order; none make 0', () => {
  expect(sumOf([], () => 1)).toBe(0)
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -1e6, max: 1e6 })), (figures) => {
      const rows = figures.map(massG => ({ massG }))
      const sum = sumOf(rows, row => row.massG)
      expect(sumOf(rows.toReversed(), row => row.massG)).toBe(sum)
      expect(sumOf([...rows, { massG: 7 }], row => row.massG)).toBe(sum + 7)
    }),
  )
})
