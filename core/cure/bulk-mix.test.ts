import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from './agent'
import { bulkAgent, takeOfMixG } from './bulk-mix'
import { lotPpm } from './pieces-ppm'
import { cure } from '../fixtures/methods-samples'

describe('a bulk mix', () => {
  const parts = [
    { role: 'agent' as const, massG: 250, saltFraction: 0.9375, sugarFraction: 0 },
    { role: 'salt' as const, massG: 2200, saltFraction: 1, sugarFraction: 0 },
    { role: 'sugar' as const, massG: 1000, saltFraction: 0, sugarFraction: 1 },
  ]
  it('dispensed by weight gives the ppm it was made for, any meat', () => {
    const mix = bulkAgent(CURING_SALT_NO_1, parts, 1)
    if (!mix.ok) throw new Error(mix.code)
    expect(mix.value.nitriteFraction).toBeCloseTo((250 * 0.0625) / 3450, 12)
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 40_000 }), (greenG) => {
        const takeG = takeOfMixG(mix.value, greenG, 150)
        expect(
          lotPpm(cure({ pieces: [{ massG: greenG, readings: 1 }], agent: mix.value, agentG: takeG, mixG: takeG })).ppm,
        ).toBeCloseTo(150, 9)
      }),
    )
  })
  it('carries the label\'s tolerance and the scale\'s', () => {
    const mix = bulkAgent(CURING_SALT_NO_1, parts, 1)
    const label = 0.0025 / 0.0625
    expect(mix.ok && mix.value.labelTolerance / mix.value.nitriteFraction).toBeCloseTo(
      ((1 + label) * (250.5 / 3449.5)) / (250 / 3450) - 1,
      12,
    )
    expect(bulkAgent(CURING_SALT_NO_1, parts.slice(1), 1)).toMatchObject({ ok: false, code: 'mix_without_agent' })
  })
})
