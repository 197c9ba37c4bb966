import { describe, expect, it } from 'vitest'
import { daysToCentre } from '../diffusion/days-to-centre'
import { daysByRule, suggestedSpan } from './day-rules'

describe('days in the cure', () => {
  it('the printed line for a 40 mm belly of 1.5 kg', () => {
    const days = daysByRule(40, 1500)
    expect(Object.fromEntries(Object.entries(days).map(([rule, d]) => [rule, Number(d.toFixed(1))]))).toEqual({
      fixed_week: 7,
      per_half_inch: 3.1,
      three_per_inch_plus_one: 5.7,
      seven_per_inch: 11,
      three_per_500_g: 9,
      model: 5.6,
    })
  })
  it('a thick piece waits for the model, a thin one for the week', () => {
    expect(suggestedSpan(30)).toEqual({ readyFromDay: 7, bestByDay: 14 })
    expect(suggestedSpan(60).readyFromDay).toBe(Math.ceil(daysToCentre(60)))
  })
})

it('suggests no more than a week for a salt box, however thick', () => {
  expect(suggestedSpan(90, 'excess')).toEqual({ readyFromDay: 6, bestByDay: 7 })
  expect(suggestedSpan(90).bestByDay).toBeGreaterThan(7)
})
