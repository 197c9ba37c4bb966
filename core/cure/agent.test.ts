import { expect, it } from 'vitest'
import { asSodiumNitrite, CURING_SALT_NO_1, nitrateShare, nitriteShare } from './agent'

it('another compound counts by its moles: the ion half as much again, potassium nitrite a fifth less', () => {
  // By atomic weights: Na 22.990, K 39.098, N 14.007, O 15.999.
  const [na, k, no2] = [22.99, 39.098, 14.007 + 2 * 15.999]
  expect(asSodiumNitrite('NaNO2')).toBe(1)
  expect(asSodiumNitrite('KNO2')).toBeCloseTo((na + no2) / (k + no2), 4)
  expect(asSodiumNitrite('NO2')).toBeCloseTo((na + no2) / no2, 4)
})
it('shares are of the compound named, sodium nitrate where none is', () => {
  expect(nitriteShare(CURING_SALT_NO_1)).toBe(0.0625)
  expect(nitriteShare({ nitriteFraction: 0.98, nitriteAs: 'KNO2' })).toBeCloseTo(0.98 * 0.81071, 5)
  expect(nitrateShare({ nitrateFraction: 0.04 })).toBe(0.04)
  expect(nitrateShare({ nitrateFraction: 1, nitrateAs: 'KNO3' })).toBeCloseTo(0.84067, 4)
})
