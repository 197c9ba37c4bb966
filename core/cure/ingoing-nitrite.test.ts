import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expectRelative } from '../fixtures/expect-relative'
import reference from '../fixtures/reference.json'
import { asSodiumNitrite, CURING_SALT_NO_1, MOLAR_MASS, nitriteShare, type NitriteCompound } from './agent'
import { agentForPpm, wetEquilibriumPpm } from '../fixtures/ingoing'
import { ingoingNitritePpm, type AgentWeighed } from './ingoing-nitrite'

describe('ingoing nitrite', () => {
  it.each(reference.ingoing_nitrite)('reference: $greenWeightG g', ({ greenWeightG, agents, ppm }) =>
    expectRelative(ingoingNitritePpm(greenWeightG, agents as AgentWeighed[]), ppm),
  )
  it.each(reference.wet_equilibrium)('wet, even: $greenWeightG g', (c) => {
    const agent = { massG: c.agentG, nitriteFraction: c.nitriteFraction, nitriteAs: 'NaNO2' as const }
    expectRelative(wetEquilibriumPpm(c.greenWeightG, c.brineG, [agent]), c.ppm)
  })
  it('4.4 g of no. 1 on 1,840 g is 149.46 ppm', () =>
    expect(ingoingNitritePpm(1840, [{ ...CURING_SALT_NO_1, massG: 4.4 }])).toBeCloseTo(149.46, 2))
  it('converts compounds as published', () => {
    expect(asSodiumNitrite('KNO2')).toBeCloseTo(0.81071, 5)
    expect(asSodiumNitrite('NO2')).toBeCloseTo(1.49973, 5)
  })
  it('forwards and backwards agree for any weight, ppm and agent', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 5e5, noNaN: true }),
        fc.double({ min: 1, max: 700, noNaN: true }),
        fc.double({ min: 0.004, max: 0.0625, noNaN: true }),
        fc.constantFrom(...(Object.keys(MOLAR_MASS) as NitriteCompound[])),
        (greenG, ppm, nitriteFraction, nitriteAs) => {
          const agent = { nitriteFraction, nitriteAs }
          const massG = agentForPpm(ppm, greenG, nitriteShare(agent))
          expectRelative(ingoingNitritePpm(greenG, [{ ...agent, massG }]), ppm)
        },
      ),
    )
  })
  it('adds up: one agent in two scoops is the same, and twice the meat is half the ppm', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 100, max: 1e5, noNaN: true }),
        (massG, greenG) => {
          const whole = ingoingNitritePpm(greenG, [{ ...CURING_SALT_NO_1, massG }])
          const third = { ...CURING_SALT_NO_1, massG: massG / 3 }
          expectRelative(ingoingNitritePpm(greenG, [third, third, third]), whole)
          expectRelative(2 * ingoingNitritePpm(2 * greenG, [{ ...CURING_SALT_NO_1, massG }]), whole)
        },
      ),
    )
  })
  it('refuses a green weight that is none', () => {
    expect(() => ingoingNitritePpm(0, [])).toThrow(RangeError)
    expect(() => ingoingNitritePpm(Number.NaN, [])).toThrow(RangeError)
  })
})
