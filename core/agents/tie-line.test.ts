import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asSodiumNitrite, CURING_SALT_NO_1 } from '../cure/agent'
import { ingoingNitritePpm } from '../cure/ingoing-nitrite'
import { agentType } from './agent-kinds'
import { isTied, tieLine } from './tie-line'

describe('salt and ppm tied by nitrite curing salt', () => {
  it('every point of the line is what the weights give', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0.004, 0.005, 0.006, 0.008, 0.009),
        fc.double({ min: 0.005, max: 0.05, noNaN: true }),
        (nitriteFraction, saltShare) => {
          const agent = { ...CURING_SALT_NO_1, nitriteFraction, saltFraction: 1 - nitriteFraction }
          const agentG = (saltShare * 1000) / agent.saltFraction
          expect(
            tieLine(agent, { low: 0, high: 1 }, { low: 0, high: 1e6 }).ppmPerPercent * saltShare * 100,
          ).toBeCloseTo(ingoingNitritePpm(1000, [{ ...agent, massG: agentG }]), 6)
        },
      ),
    )
  })
  it('0.6 % between 120 and 200 ppm: right from 2.0 to 3.0 % salt', () => {
    const found = tieLine(
      { ...CURING_SALT_NO_1, nitriteFraction: 0.006, saltFraction: 0.994 },
      { low: 0.02, high: 0.03 },
      { low: 120, high: 200 },
    )
    expect(found.window!.from.ppm).toBeCloseTo(120.72, 2)
    expect(found.window!.to.ppm).toBeCloseTo(181.09, 2)
  })
  it('0.4 % reaches 120 ppm only past 2.98 % salt, and 0.9 % of the ion is past 200 before 2 %', () => {
    const weak = tieLine(
      { ...CURING_SALT_NO_1, nitriteFraction: 0.004, saltFraction: 0.996 },
      { low: 0.02, high: 0.025 },
      { low: 120, high: 200 },
    )
    expect(weak.window).toBeNull()
    const ion = { ...CURING_SALT_NO_1, nitriteFraction: 0.009, nitriteAs: 'NO2' as const, saltFraction: 0.98 }
    expect(tieLine(ion, { low: 0.02, high: 0.03 }, { low: 120, high: 200 }).window).toBeNull()
    expect((0.02 * 1e6 * 0.009 * asSodiumNitrite('NO2')) / 0.98).toBeGreaterThan(200)
  })
  it('is no matter for no. 1', () =>
    expect([isTied(CURING_SALT_NO_1), isTied(agentType('nitrite_salt').usual)]).toEqual([false, true]))
})
