import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asSodiumNitrite, CURING_SALT_NO_1, nitrateShare } from '../cure/agent'
import { ingoingNitritePpm } from '../cure/ingoing-nitrite'
import { bulkAgent } from '../cure/bulk-mix'
import { CUTS, RINDS } from '../rules/cuts'
import { limitsFor } from '../rules/limits'
import { SHIPPED_RULES } from '../rules/sets/all-rules'
import { agentFault, PURPOSES, type AgentQuestion } from './agent-fault'
import { AGENT_KINDS, AGENT_TYPES, agentType } from './agent-kinds'
import { parseAgentShare } from './parse-agent-share'
import { isTied, tieLine } from './tie-line'

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

describe('a label\'s share as typed', () => {
  it.each([
    ['6.25', 0.0625],
    ['0.0625', 0.0625],
    ['6,25 %', 0.0625],
    ['6.25%', 0.0625],
    ['0.6', 0.006],
    ['0.6 %', 0.006],
    ['0.006', 0.006],
    ['0,9', 0.009],
    ['0.05 %', null],
    ['62.5', null],
    ['', null],
    ['six', null],
  ])('%s', (typed, share) => {
    const found = parseAgentShare(typed, { min: 0.1, max: 10 })
    if (share === null) expect(found.ok).toBe(false)
    else expect(found.ok && found.value).toBeCloseTo(share, 12)
  })
})

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
