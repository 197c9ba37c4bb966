import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from '../cure/agent'
import { lotPpm, type CureWeighed } from '../cure/pieces-ppm'
import { advise } from './advise'
import { forbidsRubbing, holdsLot, judgeNitrite } from './judge-nitrite'

const cure = (greenG: number, agentG: number, mixReadabilityG = 0.1): CureWeighed => ({
  pieces: [{ massG: greenG, readings: 1 }],
  meatReadabilityG: 5,
  agent: CURING_SALT_NO_1,
  agentG,
  mixG: agentG * 14,
  mixReadabilityG,
})
const BELLY = { floorPpm: 120, maxPpm: 200 }
const verdict = (c: CureWeighed, limits = BELLY) => judgeNitrite(lotPpm(c), limits)

describe('the verdict', () => {
  it.each([
    [1840, 4.4, 0.1, 'inside'],
    [1840, 6.3, 0.1, 'above_limit'],
    [1840, 5.8, 0.1, 'limit_not_shown'],
    [1840, 2.9, 0.1, 'below_floor'],
    [1840, 4, 1, 'floor_not_shown'],
  ] as const)('%d g with %d g on a %d g scale: %s', (greenG, agentG, d, status) =>
    expect(verdict(cure(greenG, agentG, d))).toBe(status),
  )
  it('salt only is no nitrite verdict', () => expect(judgeNitrite(null, BELLY)).toBe('no_nitrite'))
  it('exactly at the limit with perfect weighing is inside', () =>
    expect(judgeNitrite({ ppm: 200, lowPpm: 200, highPpm: 200, expandedPpm: 0 }, BELLY)).toBe('inside'))
  it('refuses too much, holds too little', () => {
    expect(['above_limit', 'limit_not_shown'].every(s => forbidsRubbing(s as never))).toBe(true)
    expect(['below_floor', 'floor_not_shown'].every(s => holdsLot(s as never) && !forbidsRubbing(s as never))).toBe(
      true,
    )
    expect(forbidsRubbing('inside') || holdsLot('inside') || forbidsRubbing('no_nitrite')).toBe(false)
  })
})

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
