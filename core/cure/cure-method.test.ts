import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formulate } from './formulate'
import { lotPpm } from './pieces-ppm'
import { TARGETS, made, cure, weights } from '../fixtures/methods-samples'

describe('formulating by each method', () => {
  it.each(['dry', 'two_applications', 'excess', 'wet_equilibrium', 'wet_pick_up'] as const)(
    '%s comes out at its target, for any meat and brine',
    (method) => {
      fc.assert(
        fc.property(
          weights(),
          fc.integer({ min: 60, max: 190 }),
          fc.double({ min: 0.3, max: 2, noNaN: true }),
          fc.double({ min: 0.12, max: 0.3, noNaN: true }),
          (piecesG, nitritePpm, waterShare, pickUp) => {
            const plan = made({
              method,
              piecesG,
              targets: { ...TARGETS, nitritePpm, sugarShare: 0.005 },
              waterShare,
              pickUp,
              readabilityG: 0.01,
            })
            const got = lotPpm(
              cure({
                method,
                pieces: piecesG.map(massG => ({ massG, readings: 1 })),
                agentG: plan.agentG,
                mixG: plan.mixG,
                waterG: plan.waterG,
                mostPickUp: pickUp,
              }),
            )
            // Half a division of the scale, through each method's own dilution.
            expect(Math.abs(got.ppm - nitritePpm)).toBeLessThan(
              (0.02 * 62_500) / plan.greenWeightG + 0.01,
            )
            expect(plan.totalSaltShare).toBeCloseTo(0.025, 3)
          },
        ),
      )
    },
  )
  it('refuses a brine past saturation', () => {
    expect(
      formulate({
        method: 'wet_pick_up',
        piecesG: [1000],
        agent: null,
        targets: TARGETS,
        readabilityG: 0.1,
        waterShare: 1,
        pickUp: 0.08,
      }),
    ).toMatchObject({ ok: false, code: 'brine_too_strong' })
    expect(
      formulate({
        method: 'wet_pick_up',
        piecesG: [1000],
        agent: null,
        targets: TARGETS,
        readabilityG: 0.1,
        waterShare: 1,
        pickUp: 0.01,
      }),
    ).toMatchObject({ ok: false, code: 'brine_too_strong' })
  })
})
