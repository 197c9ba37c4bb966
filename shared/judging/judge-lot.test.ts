import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { AGENT_TYPES } from '#core/agents/agent-kinds'
import { CURING_SALT_NO_1, nitriteShare } from '#core/cure/agent'
import { formulate } from '#core/cure/formulate'
import { CUTS, RINDS } from '#core/rules/cuts'
import { forbidsRubbing } from '#core/rules/judge-nitrite'
import { limitsFor } from '#core/rules/limits'
import { SHIPPED_RULES } from '#core/rules/sets/all-rules'
import { judgeLot, type JudgeQuestion } from './judge-lot'

const US = SHIPPED_RULES.find(rules => rules.id === 'us')!
const WEIGHED: JudgeQuestion = {
  rules: US,
  cut: 'belly',
  rind: 'off',
  method: 'dry',
  confirmed: null,
  pieces: [{ massG: 1840, readings: 1 }],
  meatReadabilityG: 5,
  mixReadabilityG: 0.1,
  agent: CURING_SALT_NO_1,
  agentG: 4.4,
  mixG: 62.8,
}
const ask = (more: Partial<JudgeQuestion> = {}) => judgeLot({ ...WEIGHED, ...more })!

const anyLaw = fc.record({
  rules: fc.constantFrom(...SHIPPED_RULES),
  cut: fc.constantFrom(...CUTS),
  rind: fc.constantFrom(...RINDS),
})
const anyPieces = fc.array(fc.integer({ min: 800, max: 9000 }), { minLength: 1, maxLength: 12 })

describe('the verdict on a lot', () => {
  it('the worked example: 4.4 g of no. 1 on 1,840 g', () => {
    const verdict = ask()
    expect(verdict.lot!.ppm).toBeCloseTo((1e6 * 4.4 * 0.0625) / 1840, 9)
    expect(verdict).toMatchObject({
      status: 'inside',
      meaning: 'exact',
      maxPpm: 200,
      floorPpm: 120,
      jurisdiction: 'United States',
      row: { id: 'us-belly-dry-off' },
    })
  })
  it('no row, no verdict: nothing may be rubbed by a law that says nothing of the cut', () =>
    expect(
      judgeLot({ ...WEIGHED, rules: { ...US, rows: US.rows.filter(row => row.cutGroup !== 'belly') } }),
    ).toBeNull())
  it('keeps what it was judged by, whatever becomes of the rules later', () => {
    const rules = structuredClone(US) as { -readonly [K in keyof typeof US]: (typeof US)[K] }
    const verdict = JSON.parse(JSON.stringify(ask({ rules })))
    rules.rows = []
    expect(verdict).toMatchObject({
      maxPpm: 200,
      row: { source: '9 CFR 424.22(b); FSIS Directive 7620.3' },
      floorSource: 'FSIS Directive 7620.3',
      ruleTextDate: '1995-09-01',
    })
  })
  it('salt only hangs nothing, asks no laboratory and advises nothing', () =>
    expect(ask({ method: 'salt_only', agent: null, agentG: 0, cut: 'loin' })).toMatchObject({
      status: 'no_nitrite',
      lot: null,
      pieces: [],
      residual: [],
      nitrate: null,
      advice: { takeOffAgentG: null, addAgentG: null },
    }))
  it('nitrate is counted beside nitrite, as NaNO3 on green weight', () => {
    const home = AGENT_TYPES.find(type => type.kind === 'home_cure')!.usual
    expect(ask({ cut: 'loin', agent: home, agentG: 50 }).nitrate).toEqual({
      ppm: expect.closeTo((1e6 * 50 * 0.005) / 1840, 9),
      maxPpm: 2187,
    })
    expect(ask({ agent: home, agentG: 50 }).nitrate).toMatchObject({ maxPpm: 0 })
    expect(ask().nitrate).toBeNull()
  })
})

describe('under every law that comes with the shop', () => {
  it('a plan at the middle of the span, weighed as planned on a fine scale, is inside', () => {
    fc.assert(
      fc.property(
        anyLaw,
        anyPieces,
        fc.constantFrom(...AGENT_TYPES.filter(type => type.kind === 'no_1' || type.kind === 'nitrite_salt')),
        (law, piecesG, type) => {
          const agent = { ...type.usual, labelTolerance: 0 }
          const limits = limitsFor({ ...law, method: 'dry' })!
          const nitritePpm = (limits.floorPpm + limits.maxPpm) / 2
          const plan = formulate({
            piecesG,
            agent,
            targets: { saltShare: 0.15, saltBasis: 'total', sugarShare: 0.01, nitritePpm },
            readabilityG: 0.01,
          })
          if (!plan.ok) throw new Error(plan.code)
          const verdict = ask({
            ...law,
            pieces: piecesG.map(massG => ({ massG, readings: 1 as const })),
            meatReadabilityG: 1,
            mixReadabilityG: 0.01,
            agent,
            agentG: plan.value.agentG,
            mixG: plan.value.mixG,
          })
          expect(verdict.status).toBe('inside')
        },
      ),
    )
  })
  it('over the maximum nothing may be rubbed, whatever the scale, the label or the cut', () => {
    fc.assert(
      fc.property(
        anyLaw,
        anyPieces,
        fc.constantFrom(0.01, 0.1, 1, 5),
        fc.constantFrom('dry', 'two_applications', 'excess'),
        fc.double({ min: 1.0001, max: 20, noNaN: true }),
        (law, piecesG, mixReadabilityG, method, times) => {
          const limits = limitsFor({ ...law, method: 'dry' })!
          const greenG = piecesG.reduce((sum, g) => sum + g, 0)
          const agentG = (times * limits.maxPpm * greenG) / (1e6 * nitriteShare(CURING_SALT_NO_1))
          const verdict = ask({
            ...law,
            method,
            pieces: piecesG.map(massG => ({ massG, readings: 1 as const })),
            mixReadabilityG,
            agentG,
            mixG: agentG * 15,
          })
          expect(forbidsRubbing(verdict.status)).toBe(true)
        },
      ),
    )
  })
  it('more curing salt is never fewer ppm, and a coarser scale never makes it surer', () => {
    fc.assert(
      fc.property(
        anyPieces,
        fc.double({ min: 0.5, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (piecesG, agentG, moreG) => {
          const pieces = piecesG.map(massG => ({ massG, readings: 1 as const }))
          const [less, more, coarse] = [
            { agentG, mixG: 15 * agentG },
            { agentG: agentG + moreG, mixG: 15 * agentG + moreG },
            { agentG, mixG: 15 * agentG, mixReadabilityG: 1 },
          ].map(given => ask({ pieces, ...given }).lot!)
          expect(more!.ppm).toBeGreaterThanOrEqual(less!.ppm)
          expect(coarse!.highPpm).toBeGreaterThanOrEqual(less!.highPpm)
          expect(coarse!.lowPpm).toBeLessThanOrEqual(less!.lowPpm)
        },
      ),
    )
  })
  it('the pieces of a lot share its nitrite: weighted by their meat they are the lot', () => {
    fc.assert(
      fc.property(anyPieces, fc.double({ min: 2, max: 60, noNaN: true }), (piecesG, agentG) => {
        const verdict = ask({
          pieces: piecesG.map(massG => ({ massG, readings: 1 as const })),
          agentG,
          mixG: 15 * agentG,
        })
        const greenG = piecesG.reduce((sum, g) => sum + g, 0)
        expect(piecesG.reduce((sum, g, i) => sum + g * verdict.pieces[i]!.ppm, 0) / greenG).toBeCloseTo(
          verdict.lot!.ppm,
          6,
        )
        for (const piece of verdict.pieces)
          expect([piece.lowPpm <= piece.ppm, piece.ppm <= piece.highPpm]).toEqual([true, true])
      }),
    )
  })
})
