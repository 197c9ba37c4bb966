import { describe, expect, it } from 'vitest'
import { daysByRule, suggestedSpan } from '../curing/day-rules'
import { expectRelative } from '../fixtures/expect-relative'
import reference from '../fixtures/reference.json'
import { triangleP } from '../tasting/triangle-test'
import { SECONDS_PER_DAY } from '../units/quantities'
import { centreOverFace, centreOverFinal, farFaceOverFinal, limitedBathUptake } from './crank'
import { daysToCentre, LEAN_DIFFUSIVITY_4C } from './days-to-centre'

describe('closed forms of diffusion', () => {
  it.each(reference.diffusion)('reference slab $thicknessMm mm', (c) => {
    const thicknessM = c.thicknessMm / 1000
    const spread = c.diffusivityM2S * c.days * SECONDS_PER_DAY
    expectRelative(centreOverFinal(spread / (thicknessM / 2) ** 2), c.bothFacesInstant_centreOverFinal)
    expectRelative(centreOverFace(spread / (thicknessM / 2) ** 2), c.constantFace_centreOverFace)
    expectRelative(farFaceOverFinal(spread / thicknessM ** 2), c.oneFaceInstant_farFaceOverFinal)
  })
  it.each(reference.limited_bath)('limited bath, alpha $alpha, Dt/L2 $tau', c =>
    expectRelative(limitedBathUptake(c.alpha, c.tau), c.uptakeFraction),
  )
  it('a very large bath is a constant face: mean uptake by Crank 4.18', () => {
    const fourier = 0.2
    let left = 0
    for (let n = 0; n < 100; n++) {
      const odd = (2 * n + 1) ** 2 * Math.PI ** 2
      left += (8 / odd) * Math.exp((-odd * fourier) / 4)
    }
    expect(limitedBathUptake(1e7, fourier)).toBeCloseTo(1 - left, 6)
  })
})

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
  it('the estimate puts the centre at 90 % by the full series', () => {
    const fourier = (LEAN_DIFFUSIVITY_4C * daysToCentre(40) * SECONDS_PER_DAY) / 0.02 ** 2
    expect(centreOverFinal(fourier)).toBeCloseTo(0.9, 4)
  })
  it('a thick piece waits for the model, a thin one for the week', () => {
    expect(suggestedSpan(30)).toEqual({ readyFromDay: 7, bestByDay: 14 })
    expect(suggestedSpan(60).readyFromDay).toBe(Math.ceil(daysToCentre(60)))
  })
})

describe('triangle test', () => {
  it.each(reference.triangle_test)('$right of $tasters', c => expectRelative(triangleP(c.tasters, c.right), c.p))
  it('7 right of 10 is p = 0.0197, none is certain', () => {
    expect(triangleP(10, 7)).toBeCloseTo(0.0197, 4)
    expect(triangleP(10, 0)).toBeCloseTo(1, 12)
  })
})
