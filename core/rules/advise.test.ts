import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from '../cure/agent'
import type { CureWeighed } from '../cure/cure-weighed'
import { advise } from './advise'
import { forbidsRubbing } from './judge-nitrite'
import { cure, BELLY, verdict } from '../fixtures/judge-nitrite-samples'

describe('following the advice', () => {
  it('brings any lot inside, whichever way is taken', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 40_000 }),
        fc.integer({ min: 0, max: 400 }),
        fc.constantFrom(0.01, 0.1, 0.5),
        fc.constantFrom(180, 200, 625),
        (greenG, ppm, divisionG, maxPpm) => {
          const start = cure(greenG, Math.round((ppm * greenG) / 62_500 / divisionG) * divisionG, divisionG)
          const limits = { floorPpm: 120, maxPpm }
          const status = verdict(start, limits)
          const advice = advise(start, limits, status)
          const inside = (c: CureWeighed) => expect(verdict(c, limits)).toBe('inside')
          if (advice.takeOffAgentG !== null) inside({ ...start, agentG: start.agentG - advice.takeOffAgentG })
          if (advice.addMeatG !== null)
            inside({ ...start, pieces: [...start.pieces, { massG: advice.addMeatG, readings: 1 }] })
          if (advice.addAgentG !== null) inside({ ...start, agentG: start.agentG + advice.addAgentG })
          if (advice.finerScaleG !== null) inside({ ...start, mixReadabilityG: advice.finerScaleG })
          if (status === 'inside') expect(Object.values(advice).every(v => v === null)).toBe(true)
          // On a narrow span a coarse scale may leave no single step: then it says how large a lot that scale can show.
          else expect(Object.values(advice).some(v => v !== null)).toBe(true)
          if (forbidsRubbing(status) && greenG > 5000) expect(advice.addMeatG).toBeGreaterThan(0)
        },
      ),
    )
  })
  it('a lot of the smallest weight for a scale can be shown inside, whatever its exact weight', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0.5, 1, 2),
        fc.constantFrom(180, 200),
        fc.integer({ min: 0, max: 4000 }),
        (divisionG, maxPpm, moreG) => {
          const limits = { floorPpm: 120, maxPpm }
          const small = cure(300, 0, divisionG)
          const leastG = advise(small, limits, verdict(small, limits)).smallestLotG!
          const greenG = leastG + moreG
          const steps = Array.from(
            { length: Math.ceil((maxPpm * greenG) / 62_500 / divisionG) + 1 },
            (_, n) => n * divisionG,
          )
          expect(steps.some(agentG => verdict(cure(greenG, agentG, divisionG), limits) === 'inside')).toBe(true)
        },
      ),
    )
  })
  it('never advises a step that lands under the floor (521 g, 1.5 g on a 0.5 g scale, limit 180)', () => {
    const start = cure(521, 1.5, 0.5)
    const advice = advise(start, { floorPpm: 120, maxPpm: 180 }, verdict(start, { floorPpm: 120, maxPpm: 180 }))
    expect(advice.takeOffAgentG).toBeNull()
    expect(advice.finerScaleG ?? advice.smallestLotG).not.toBeNull()
  })
  it('names the division that would show 4 g on 1,840 g', () => {
    const start = { ...cure(1840, 4, 1), agent: { ...CURING_SALT_NO_1, labelTolerance: 0 } }
    expect(advise(start, BELLY, 'floor_not_shown').finerScaleG).toBe(0.5)
  })
})
