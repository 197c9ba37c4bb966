import fc from 'fast-check'
import { expect, it } from 'vitest'
import { reachedMs, type GoodReading } from './reached'

const probe = (...points: [second: number, tempC: number][]): GoodReading[] =>
  points.map(([second, tempC]) => ({ atMs: second * 1000, tempC, byHand: false }))

it('two readings a minute apart, at it or above, show it', () => {
  expect(reachedMs(probe([0, 62.9], [10, 63], [40, 63.2], [70, 63.1]), 63)).toBe(70_000)
  expect(reachedMs(probe([0, 63], [59, 64]), 63)).toBeNull()
})
it('one spike shows nothing, nor do two with a fall between', () => {
  expect(reachedMs(probe([0, 45], [1, 70.2], [2, 45]), 70)).toBeNull()
  expect(reachedMs(probe([0, 70.2], [30, 45], [70, 70.4]), 70)).toBeNull()
})
it('one that was typed by hand shows it', () =>
  expect(reachedMs([...probe([0, 50]), { atMs: 5000, tempC: 63, byHand: true }], 63)).toBe(5000))
it('what shows a temperature shows every lower one, no later', () => {
  const reading = fc.record({ atMs: fc.integer({ min: 0, max: 3_600_000 }), tempC: fc.integer({ min: 0, max: 80 }), byHand: fc.boolean() })
  fc.assert(
    fc.property(fc.array(reading), fc.integer({ min: 1, max: 80 }), (drawn, tempC) => {
      const line = drawn.toSorted((a, b) => a.atMs - b.atMs)
      const high = reachedMs(line, tempC)
      const low = reachedMs(line, tempC - 1)
      if (high !== null) expect(low).toBeLessThanOrEqual(high)
    }),
  )
})
