import { describe, expect, it } from 'vitest'
import { centreOverFinal } from '../fixtures/crank'
import { SECONDS_PER_DAY } from '../units/quantities'
import { daysToCentre, LEAN_DIFFUSIVITY_4C } from './days-to-centre'

describe('days until the middle is cured', () => {
  it('put it at 90 % by the full series', () => {
    const fourier = (LEAN_DIFFUSIVITY_4C * daysToCentre(40) * SECONDS_PER_DAY) / 0.02 ** 2
    expect(centreOverFinal(fourier)).toBeCloseTo(0.9, 4)
  })
  it('grow with the square of the thickness', () => {
    expect(daysToCentre(80) / daysToCentre(40)).toBeCloseTo(4, 12)
  })
})
