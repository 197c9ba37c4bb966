import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { formulate } from '#core/cure/formulate'
import { US_RULES } from '#core/rules/sets/us-rules'
import { judgeLot } from './judge-lot'
import { appliedOf, lotQuestion, saltQuestion, toComeAfter, type LotWeighed } from './lot-question'

const agent = CURING_SALT_NO_1
const PLAN = { agentG: 24, saltG: 210, sugarG: 100, mixG: 350 }
const lot = (q: Partial<LotWeighed>): LotWeighed => ({
  rules: US_RULES,
  cut: 'belly',
  rind: 'off',
  method: 'dry',
  confirmed: null,
  pieces: [{ massG: 5000, readings: 1 }, { massG: 5000, readings: 1 }],
  meatReadabilityG: 5,
  mixReadabilityG: 0.1,
  agent: agent,
  applied: appliedOf(PLAN),
  toCome: null,
  ...q,
})

describe('a lot\'s question', () => {
  it('a plan weighed to the gram is the plan', () => {
    expect(lotQuestion(lot({}))).toMatchObject({ agentG: 24, mixG: 350, agentReadings: 1 })
    // 1e6 x 24 g x 6.25 % / 10 kg
    expect(judgeLot(lotQuestion(lot({})))!.lot!.ppm).toBeCloseTo(150, 9)
  })
  it('two applications: what went on and what is still to come are the whole, whatever the first share', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.9, noNaN: true }), (share) => {
        const first = appliedOf(PLAN).map(part =>
          part.role === 'spice' ? part : { ...part, massG: part.massG * share },
        )
        const q = lotQuestion(
          lot({ method: 'two_applications', applied: first, toCome: toComeAfter(PLAN, share) }),
        )
        expect(q.agentG).toBeCloseTo(PLAN.agentG, 9)
        // Seasonings went on whole with the first: they are not counted again.
        expect(q.mixG).toBeCloseTo(PLAN.mixG, 9)
        expect(q.agentReadings).toBe(2)
      }),
    )
    expect(toComeAfter(PLAN, 1)).toBeNull()
  })
  it('a seasoning for some pieces alone is not in the mix of all', () => {
    const applied = [...appliedOf(PLAN), { role: 'spice' as const, massG: 12, shared: false }]
    expect(lotQuestion(lot({ applied })).mixG).toBe(350)
  })
})

describe('the salt\'s question', () => {
  const made = formulate({
    method: 'dry',
    piecesG: [5000],
    agent: agent,
    targets: { saltShare: 0.025, sugarShare: 0.01, saltBasis: 'total', nitritePpm: 150 },
    readabilityG: 0.1,
    fromAgentOnly: false,
    seasonings: [
      { key: 'soy', per: 'g_per_kg', amount: 20, pieces: null, composition: { saltFraction: 0.16, sugarFraction: 0, waterFraction: 0.7 } },
    ],
  })
  const plan = made.ok ? made.value : null
  const asked = (q: object) =>
    saltQuestion({
      method: 'dry',
      plan: plan!,
      firstShare: 1,
      agentSaltShare: agent.saltFraction,
      agentG: plan!.agentG,
      saltG: plan!.saltG,
      seasonings: [plan!.seasonings[0]!.massG],
      ...q,
    })
  it('what was weighed as planned is what was planned, with seasonings weighed or not', () => {
    const one = asked({})!
    expect(one.weighedG).toBeCloseTo(one.plannedG, 9)
    expect(asked({ seasonings: [null] })!.weighedG).toBeCloseTo(one.plannedG, 9)
    expect(one.plannedG / 5000).toBeCloseTo(plan!.totalSaltShare, 9)
  })
  it('is not asked of a cure without nitrite', () => {
    expect(asked({ agentG: 0, agentSaltShare: 0 })).toBeNull()
  })
})
