import { describe, expect, it } from 'vitest'
import { planDoubt, planFault } from './plan-fault'
import { steadyRhythm, type Plan } from './plan'
import { PLAN_STARTERS, STARTER_PLANS } from './starters'

const BAGS = STARTER_PLANS.bags
const plan = (more: Partial<Plan> = {}, cure: Partial<Plan['cure']> = {}): Plan => ({ ...BAGS, ...more, cure: { ...BAGS.cure, ...cure } })

describe('a plan', () => {
  it.each(PLAN_STARTERS)('%s can be carried out, and leaves nothing in doubt', (starter) => {
    expect(planFault(STARTER_PLANS[starter])).toBeNull()
    expect(planDoubt(STARTER_PLANS[starter])).toBeNull()
  })
  it.each([
    ['rhythm_order', plan({}, { rhythm: [] })],
    ['rhythm_order', plan({}, { rhythm: [...steadyRhythm(1), ...steadyRhythm(2)] })],
    ['end_before_ready', plan({ end: { ...BAGS.end, toDay: 6 } })],
    ['look_after_end', plan({}, { looks: [15] })],
    ['add_after_end', plan({}, { adds: [{ when: { on: 'each_turn', toDay: 15 }, face: 'up', share: null }] })],
    ['slice_before_more', plan({ then: [{ kind: 'slice' }, { kind: 'rest', how: 'wrapped', hours: { from: 1, to: 2 } }] })],
    ['rinse_not_first', plan({ then: [{ kind: 'chill', hours: { from: 1, to: 2 } }, { kind: 'rinse', times: 1 }] })],
  ] as const)('cannot be: %s', (fault, wrong) => {
    expect(planFault(wrong)).toBe(fault)
  })
  it('smoke on a wet surface is asked about; hot air or drying between is none', () => {
    const heat = { kind: 'heat', how: 'hot', sessions: 1, hours: null } as const
    const rinse = { kind: 'rinse', times: 1 } as const
    expect(planDoubt(plan({ then: [rinse, heat] }))).toBe('smoke_on_wet')
    expect(planDoubt(plan({ then: [rinse, { ...heat, how: 'oven' }] }))).toBeNull()
    expect(planDoubt(plan({ then: [rinse, { kind: 'dry', how: 'fan', hours: { from: 1, to: 2 }, untilTacky: true }, heat] }))).toBeNull()
    expect(planDoubt(plan({ then: [{ ...heat, how: 'bath' }, { ...heat, how: 'cold' }] }))).toBe('smoke_on_wet')
  })
})
