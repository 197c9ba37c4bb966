import { describe, expect, it } from 'vitest'
import { expectRelative } from '../fixtures/expect-relative'
import reference from '../fixtures/reference.json'
import { ppmInterval } from './ppm-interval'

describe('what the ppm can be', () => {
  it.each(reference.ppm_interval)('reference: $greenWeightG g with $agentG g', (c) => {
    const found = ppmInterval(
      [{ massG: c.agentG, readabilityG: c.agentReadabilityG, readings: 1, share: c.nitriteFraction, shareTolerance: c.labelTolerance }],
      { massG: c.greenWeightG, readabilityG: c.meatReadabilityG, readings: 1 },
    )
    expectRelative(found.lowPpm, c.lowPpm)
    expectRelative(found.highPpm, c.highPpm)
  })
  it('a 1 g scale showing 4 g on 1,840 g to 5 g: 118.7 to 153.1 ppm', () => {
    const found = ppmInterval(
      [{ massG: 4, readabilityG: 1, readings: 1, share: 0.0625, shareTolerance: 0 }],
      { massG: 1840, readabilityG: 5, readings: 1 },
    )
    expect(found.lowPpm).toBeCloseTo(118.7, 1)
    expect(found.highPpm).toBeCloseTo(153.1, 1)
  })
  it('k = 2 agrees with the spread of simulated readings', () => {
    const agent = { massG: 4.4, readabilityG: 0.1, readings: 1 }
    const meat = { massG: 1840, readabilityG: 5, readings: 2 }
    const found = ppmInterval([{ ...agent, share: 0.0625, shareTolerance: 0.0025 }], meat)
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
  it('two halves weighed apart are known less well than the whole weighed once, and never better at worst', () => {
    const meat = { massG: 1840, readabilityG: 5, readings: 1 }
    const label = { readabilityG: 0.1, readings: 1, share: 0.0625, shareTolerance: 0.0025 }
    const once = ppmInterval([{ massG: 4.4, ...label }], meat)
    const twice = ppmInterval([{ massG: 2.2, ...label }, { massG: 2.2, ...label }], meat)
    const sameScale = ppmInterval([{ massG: 4.4, ...label, readings: 2 }], meat)
    expect(twice.highPpm).toBeGreaterThan(once.highPpm)
    expect(twice.lowPpm).toBeCloseTo(sameScale.lowPpm, 9)
    expect(twice.expandedPpm).toBeCloseTo(sameScale.expandedPpm, 9)
  })
})
