import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from '../cure/agent'
import { ingoingNitritePpm } from '../cure/ingoing-nitrite'
import { byWeight } from './by-weight'
import { checkSpoons, type SpoonLine } from './check-spoons'
import { grainOf } from './grains'
import { parseSpoons } from './parse-spoons'

const LIMITS = { floorPpm: 120, maxPpm: 200 }
const line = (key: string, typed: string): SpoonLine => {
  const amount = parseSpoons(typed, 'metric')
  if (!amount.ok) throw new Error(amount.code)
  return { grain: grainOf(key)!, amount: amount.value }
}
const written = (lines: SpoonLine[], meatG: number, houseTargetPpm = 150) =>
  byWeight(lines, checkSpoons(lines, meatG, { ...CURING_SALT_NO_1, labelTolerance: 0 }, LIMITS), meatG, {
    ...LIMITS,
    houseTargetPpm,
  })

describe('a recipe in spoons, by weight', () => {
  it('nitrite comes from the house, not from the spoons; what is weighed gives it back', () => {
    const found = written([line('curing_salt_no_1', '3 tsp'), line('fine_salt', '50 g')], 3000)
    expect(found).toMatchObject({ ok: true, value: { hasAgent: true, nitritePpm: 150 } })
    if (!found.ok) return
    const agent = { ...CURING_SALT_NO_1, massG: found.value.agentG }
    // Weighed to 0.1 g of 6.25 % on 3 kg: 1 ppm is the half of a division.
    expect(Math.abs(ingoingNitritePpm(3000, [agent]) - 150)).toBeLessThanOrEqual(1.05)
  })
  it('a house target above the middle of floor and limit is not taken', () =>
    expect(written([line('curing_salt_no_1', '1 tsp'), line('fine_salt', '50 g')], 2400, 190)).toMatchObject({
      value: { nitritePpm: 160 },
    }))
  it('salt and sugar are to 0.1 % of green weight, spices to 0.01 %, from the middle of what was meant', () => {
    // 30 g on 1 kg is 3 %; 1 tsp of 5 mL pepper at 0.42 to 0.55 g/mL is 2.1 to 2.75 g, in the middle 0.24 %.
    const found = written([line('fine_salt', '30 g'), line('pepper_ground', '1 tsp')], 1000)
    expect(found).toMatchObject({
      value: {
        hasAgent: false,
        agentG: 0,
        saltShare: expect.closeTo(0.03, 9),
        spices: [{ name: 'Ground pepper', share: expect.closeTo(0.0024, 9) }],
      },
    })
  })
  it('says when the curing salt alone brings more salt than is wanted', () =>
    expect(written([line('curing_salt_no_1', '1 tsp')], 9000)).toMatchObject({ code: 'salt_already_exceeded' }))
})
