import { expect, it } from 'vitest'
import { GRAINS, grainOf } from './grains'

it.each(GRAINS.map(grain => [grain.key, grain] as const))('%s has a range of densities and holds no more than itself', (key, grain) => {
  expect(grainOf(key)).toBe(grain)
  expect(grain.gramsPerMl.low).toBeGreaterThan(0)
  expect(grain.gramsPerMl.high).toBeGreaterThan(grain.gramsPerMl.low)
  for (const what of ['sugar', 'salt'] as const) {
    expect(grain[what].low).toBeGreaterThanOrEqual(0)
    expect(grain[what].high).toBeLessThanOrEqual(1)
    expect(grain[what].high).toBeGreaterThanOrEqual(grain[what].low)
  }
})
it('is told apart by its key alone; what is not there is not found', () => {
  expect(new Set(GRAINS.map(grain => grain.key)).size).toBe(GRAINS.length)
  expect(grainOf('snow')).toBeUndefined()
})
