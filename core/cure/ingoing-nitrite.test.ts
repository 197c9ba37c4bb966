import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expectRelative } from '../fixtures/expect-relative'
import reference from '../fixtures/reference.json'
import { addedSaltG } from '../fixtures/added-salt'
import { asSodiumNitrite, CURING_SALT_NO_1, MOLAR_MASS, nitriteShare, type NitriteCompound } from './agent'
import { agentForPpm, wetEquilibriumPpm } from '../fixtures/ingoing'
import { ingoingNitritePpm, type AgentWeighed } from './ingoing-nitrite'
import { ppmInterval } from './ppm-interval'

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

describe('added salt', () => {
  it.each(reference.added_salt)('reference: $greenWeightG g', ({ addedSaltG: wanted, totalSaltFraction, ...c }) =>
    expectRelative(addedSaltG({ ...c, targetShare: totalSaltFraction }), wanted),
  )
  it('1,840 g at 2.4 % total with 4.4 g of no. 1 takes 40.035 g', () =>
    expect(addedSaltG({ greenWeightG: 1840, targetShare: 0.024, agentG: 4.4, agentSaltFraction: 0.9375 })).toBeCloseTo(
      40.035,
      9,
    ))
})

describe('what the ppm can be', () => {
  it.each(reference.ppm_interval)('reference: $greenWeightG g with $agentG g', (c) => {
    const found = ppmInterval(
      { massG: c.agentG, readabilityG: c.agentReadabilityG, readings: 1 },
      { massG: c.greenWeightG, readabilityG: c.meatReadabilityG, readings: 1 },
      c.nitriteFraction,
      c.labelTolerance,
    )
    expectRelative(found.lowPpm, c.lowPpm)
    expectRelative(found.highPpm, c.highPpm)
  })
  it('a 1 g scale showing 4 g on 1,840 g to 5 g: 118.7 to 153.1 ppm', () => {
    const found = ppmInterval(
      { massG: 4, readabilityG: 1, readings: 1 },
      { massG: 1840, readabilityG: 5, readings: 1 },
      0.0625,
      0,
    )
    expect(found.lowPpm).toBeCloseTo(118.7, 1)
    expect(found.highPpm).toBeCloseTo(153.1, 1)
  })
  it('k = 2 agrees with the spread of simulated readings', () => {
    const agent = { massG: 4.4, readabilityG: 0.1, readings: 1 }
    const meat = { massG: 1840, readabilityG: 5, readings: 2 }
    const found = ppmInterval(agent, meat, 0.0625, 0.0025)
    let seed = 12345
    const uniform = () => (seed = (seed * 1664525 + 1013904223) % 2 ** 32) / 2 ** 32 - 0.5
    const draws = Array.from({ length: 40_000 }, () => {
      const trueAgentG = agent.massG + uniform() * agent.readabilityG
      const trueMeatG = meat.massG + uniform() * meat.readabilityG + uniform() * meat.readabilityG
      return (1e6 * trueAgentG * (0.0625 + 2 * 0.0025 * uniform())) / trueMeatG
    })
    const mean = draws.reduce((a, b) => a + b, 0) / draws.length
    const sd = Math.sqrt(draws.reduce((a, b) => a + (b - mean) ** 2, 0) / (draws.length - 1))
    expect(found.expandedPpm / (2 * sd)).toBeGreaterThan(0.97)
    expect(found.expandedPpm / (2 * sd)).toBeLessThan(1.03)
    expect(draws.every(ppm => ppm >= found.lowPpm && ppm <= found.highPpm)).toBe(true)
  })
})
