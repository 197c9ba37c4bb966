import fc from 'fast-check'
import { expect, it } from 'vitest'
import { leastWhere } from './least-where'

it('finds the first of a monotone question, or says that there is none', () =>
  fc.assert(
    fc.property(fc.nat(5000), fc.nat(6000), (most, from) => {
      expect(leastWhere(most, n => n >= from)).toBe(from <= most ? from : null)
    }),
  ))
it('asks about as often as halving takes', () => {
  let asked = 0
  leastWhere(1_000_000, n => (asked++, n >= 700_001))
  expect(asked).toBeLessThanOrEqual(22)
})
