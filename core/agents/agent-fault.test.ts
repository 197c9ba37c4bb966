import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1, nitrateShare } from '../cure/agent'
import { bulkAgent } from '../cure/bulk-mix'
import { CUTS, RINDS } from '../rules/cuts'
import { limitsFor } from '../rules/limits'
import { SHIPPED_RULES } from '../rules/sets/all-rules'
import { agentFault, PURPOSES, type AgentQuestion } from './agent-fault'
import { AGENT_KINDS, AGENT_TYPES, agentType } from './agent-kinds'

const question = (more: Partial<AgentQuestion> = {}): AgentQuestion => ({
  kind: 'no_1',
  agent: CURING_SALT_NO_1,
  name: 'N',
  certificate: 'C-1',
  bestBefore: '2027-01-01',
  today: '2026-11-23',
  purpose: 'bacon',
  nitrateMaxPpm: 0,
  jurisdiction: 'J',
  spicedOn: null,
  ...more,
})
const code = (more: Partial<AgentQuestion>) => {
  const found = agentFault(question(more))
  return found.ok ? 'ok' : found.code
}
const kind = (k: AgentQuestion['kind']) => ({ kind: k, agent: agentType(k).usual })

describe('which agent may be used', () => {
  it('takes no. 1 for everything', () => expect(code({})).toBe('ok'))
  it.each([
    ['no. 2 on bacon', { ...kind('no_2'), nitrateMaxPpm: 2187 }, 'agent_long_dried_only'],
    [
      'no. 2 on what is long dried, where nitrate is allowed',
      { ...kind('no_2'), nitrateMaxPpm: 2187, purpose: 'dried' as const },
      'ok',
    ],
    ['no. 2 on what is long dried, where it is not', { ...kind('no_2'), purpose: 'dried' as const }, 'nitrate_refused'],
    ['home cure where nitrate is not allowed', kind('home_cure'), 'nitrate_refused'],
    ['saltpetre on bacon', kind('saltpetre'), 'nitrate_refused'],
    [
      'saltpetre where nitrate is allowed: no nitrite to count',
      { ...kind('saltpetre'), nitrateMaxPpm: 700 },
      'agent_no_nitrite',
    ],
    [
      'vegetable powder without a certificate',
      { ...kind('vegetable_powder'), certificate: null },
      'agent_no_certificate',
    ],
    ['an expired lot', { bestBefore: '2026-11-22' }, 'agent_expired'],
    ['its last day', { bestBefore: '2026-11-23' }, 'ok'],
    ['a mix with seasonings on its own day', { spicedOn: '2026-11-23' }, 'ok'],
    ['a mix with seasonings a day later', { spicedOn: '2026-11-22' }, 'mix_spiced_stored'],
    [
      'a mix whose agent nobody recorded, on bacon',
      { kind: 'mix' as const, nitrateMaxPpm: 2187 },
      'agent_long_dried_only',
    ],
  ])('%s', (_, more, wanted) => expect(code(more)).toBe(wanted))
  it('a bulk mix is never allowed where its agent is not: every kind, purpose, cut, method, rind and rule set', () => {
    const share = fc.double({ min: 0.01, max: 0.9, noNaN: true })
    for (const kindOf of AGENT_KINDS)
      for (const purpose of PURPOSES)
        for (const rules of SHIPPED_RULES)
          for (const cut of CUTS)
            for (const method of ['dry', 'immersion'] as const)
              for (const rind of RINDS) {
                const limits = limitsFor({ rules, cut, method, rind })
                if (!limits) continue
                const { usual: agent } = agentType(kindOf)
                const asked = {
                  kind: kindOf,
                  purpose,
                  nitrateMaxPpm: limits.nitrateMaxPpm,
                  jurisdiction: rules.jurisdiction,
                }
                fc.assert(
                  fc.property(share, (inMix) => {
                    const parts = [
                      {
                        role: 'agent' as const,
                        massG: 1000 * inMix,
                        saltFraction: agent.saltFraction,
                        sugarFraction: 0,
                      },
                      { role: 'salt' as const, massG: 1000 * (1 - inMix), saltFraction: 1, sugarFraction: 0 },
                    ]
                    const mix = bulkAgent(agent, parts, 0.1)
                    // A mix takes over what its agent is for: it is asked about as that kind.
                    if (mix.ok && code({ ...asked, agent: mix.value }) === 'ok')
                      expect(code({ ...asked, agent })).toBe('ok')
                  }),
                  { numRuns: 3 },
                )
              }
  })
  it('no agent holds more than itself', () => {
    for (const { usual } of AGENT_TYPES)
      expect(
        usual.nitriteFraction + usual.nitrateFraction + usual.saltFraction + (usual.sugarFraction ?? 0),
      ).toBeLessThanOrEqual(1 + 1e-12)
  })
  it('counts potassium nitrate as sodium nitrate by molar mass', () =>
    expect(nitrateShare({ nitrateFraction: 1, nitrateAs: 'KNO3' })).toBeCloseTo(84.995 / 101.103, 12))
})
