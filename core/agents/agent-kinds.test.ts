import { describe, expect, it } from 'vitest'
import { nitriteShare } from '../cure/agent'
import { AGENT_KINDS, AGENT_TYPES, agentType, isNearlyPure } from './agent-kinds'

describe('curing agents', () => {
  it.each(AGENT_KINDS)('%s: what its label says adds up to no more than all of it', (kind) => {
    const { usual } = agentType(kind)
    const { nitriteFraction, nitrateFraction, saltFraction, sugarFraction = 0, labelTolerance } = usual
    expect(nitriteFraction + nitrateFraction + saltFraction + sugarFraction).toBeLessThanOrEqual(1 + 1e-12)
    expect(labelTolerance).toBeLessThanOrEqual(nitriteFraction)
  })
  it('no. 1 is wherever the rules allow it, no. 2 and what nobody recorded only for long drying', () => {
    expect(AGENT_KINDS.filter(kind => agentType(kind).use === 'long_dried')).toEqual(['no_2', 'mix'])
    expect(agentType('no_1').usual.nitrateFraction).toBe(0)
  })
  it('a mix is not received; everything else is', () =>
    expect(AGENT_TYPES.map(one => one.kind)).toEqual(AGENT_KINDS.filter(kind => kind !== 'mix')))
  it('only pure nitrite kills by the gram', () => {
    expect(AGENT_KINDS.filter(kind => isNearlyPure(agentType(kind).usual))).toEqual(['potassium_nitrite'])
    // 98 % KNO2 counts 0.7945 as NaNO2: thirteen times no. 1.
    expect(nitriteShare(agentType('potassium_nitrite').usual) / 0.0625).toBeCloseTo(12.71, 2)
  })
})
