import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from '../cure/agent'
import { ingoingNitritePpm } from '../cure/ingoing-nitrite'
import { checkSpoons, type SpoonLine } from './check-spoons'
import { GRAINS, grainOf } from './grains'
import { parseSpoons, type SpoonSystem } from './parse-spoons'

const NO_1 = { ...CURING_SALT_NO_1, labelTolerance: 0 }
const LIMITS = { floorPpm: 120, maxPpm: 200 }
const line = (key: string, typed: string, system: SpoonSystem = 'us'): SpoonLine => {
  const amount = parseSpoons(typed, system)
  if (!amount.ok) throw new Error(amount.code)
  return { grain: grainOf(key)!, amount: amount.value }
}

describe('what spoons can mean', () => {
  it('3 US teaspoons of no. 1 on 4.2 kg: 16.27 to 19.22 g, 242 to 286 ppm, above whatever the grain', () => {
    const found = checkSpoons([line('curing_salt_no_1', '3 tsp')], 4200, NO_1, LIMITS)
    expect(found.lines[0]!.massG.low).toBeCloseTo(16.27, 2)
    expect(found.lines[0]!.massG.high).toBeCloseTo(19.22, 2)
    expect([Math.round(found.ppm.low), Math.round(found.ppm.high), found.verdict]).toEqual([242, 286, 'above_limit'])
  })
  it('1 level US teaspoon on 2.4 kg: 141 to 167 ppm, inside', () => {
    const found = checkSpoons([line('curing_salt_no_1', '1 level tsp')], 2400, NO_1, LIMITS)
    expect([Math.round(found.ppm.low), Math.round(found.ppm.high), found.verdict]).toEqual([141, 167, 'inside'])
  })
  it('says when it cannot be told, when it is too little, and when there is none', () => {
    expect(checkSpoons([line('curing_salt_no_1', '1 tsp')], 3000, NO_1, LIMITS).verdict).toBe('cannot_tell')
    expect(checkSpoons([line('curing_salt_no_1', '1 tsp')], 4000, NO_1, LIMITS).verdict).toBe('below_floor')
    expect(checkSpoons([line('fine_salt', '1/4 cup')], 3000, NO_1, LIMITS).verdict).toBe('no_nitrite')
  })
  it('syrups count by their real sugar, soy sauce by its salt', () => {
    const found = checkSpoons([line('maple_syrup', '100 g'), line('soy_sauce', '100 g')], 1000, NO_1, LIMITS)
    expect([found.sugarShare.low, found.sugarShare.high]).toEqual([expect.closeTo(0.066, 9), expect.closeTo(0.068, 9)])
    expect([found.saltShare.low, found.saltShare.high]).toEqual([expect.closeTo(0.014, 9), expect.closeTo(0.018, 9)])
  })
  it('several ways of writing one amount are compared: where they overlap it lies there, where they do not somebody must say', () => {
    // 3 g/kg on 3 kg is 9 g; a fifth of a teaspoon a pound is 1.303 tsp, 7.07 to 8.35 g of no. 1: they do not meet.
    const apart = checkSpoons([line('curing_salt_no_1', '3 g/kg = 1/5 tsp a pound')], 3000, NO_1, LIMITS)
    expect(apart.differing).toEqual([
      {
        line: 0,
        massesG: [
          { low: 9, high: 9 },
          { low: expect.closeTo(7.17, 1), high: expect.closeTo(8.48, 1) },
        ],
      },
    ])
    expect(apart.lines[0]!.massG).toEqual({ low: expect.closeTo(7.17, 1), high: 9 })
    const same = checkSpoons([line('curing_salt_no_1', '2.5 g/kg or 2 ml/kg; 1/5 tsp per lb')], 3000, NO_1, LIMITS)
    expect(same.differing).toEqual([])
    expect(same.lines[0]!.massG).toEqual({ low: 7.5, high: 7.5 })
  })
  it('holds every real filling: any densities inside the ranges give figures inside the answer', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom(...GRAINS),
            fc.double({ min: 0.25, max: 40, noNaN: true }),
            fc.double({ min: 0, max: 1, noNaN: true }),
          ),
          { minLength: 1, maxLength: 8 },
        ),
        fc.integer({ min: 500, max: 30_000 }),
        (drawn, meatG) => {
          const found = checkSpoons(
            drawn.map(([grain, ml]) => ({ grain, amount: { ml, massG: null, perMeatG: null } })),
            meatG,
            CURING_SALT_NO_1,
            LIMITS,
          )
          const heldOf = (what: 'salt' | 'sugar') =>
            drawn.reduce(
              (sum, [grain, ml, at]) =>
                sum
                + ml
                * (grain.gramsPerMl.low + at * (grain.gramsPerMl.high - grain.gramsPerMl.low))
                * (grain[what].low + at * (grain[what].high - grain[what].low)),
              0,
            )
          const massOf = (role: string) =>
            drawn.reduce(
              (sum, [grain, ml, at]) =>
                grain.role === role
                  ? sum + ml * (grain.gramsPerMl.low + at * (grain.gramsPerMl.high - grain.gramsPerMl.low))
                  : sum,
              0,
            )
          const ppm = ingoingNitritePpm(meatG, [{ ...CURING_SALT_NO_1, massG: massOf('agent') }])
          const salt = (heldOf('salt') + massOf('agent') * CURING_SALT_NO_1.saltFraction) / meatG
          expect(ppm).toBeGreaterThanOrEqual(found.ppm.low - 1e-9)
          expect(ppm).toBeLessThanOrEqual(found.ppm.high + 1e-9)
          expect(salt >= found.saltShare.low - 1e-12 && salt <= found.saltShare.high + 1e-12).toBe(true)
        },
      ),
    )
  })
})
