import { describe, expect, it } from 'vitest'
import { STARTER_PLANS } from '#core/plan/starters'
import { turnPress } from './plan-press'

describe('one tap on a turning day', () => {
  const plan = STARTER_PLANS.bags
  const on = (how: 'turned' | 'massaged' | 'stirred' | 'massaged_turned') =>
    turnPress({ ...plan, cure: { ...plan.cure, rhythm: [{ fromDay: 0, everyDays: 1, how }] } }, 3)

  it('tells both where the plan has both: massaged first, then turned over', () => {
    expect(on('massaged_turned')).toEqual({
      steps: [{ kind: 'turn', how: 'massaged', face: null }, { kind: 'turn', how: 'turned', face: null }],
      label: 'Massaged and turned',
      words: 'massaged and turned.',
    })
  })
  it.each(['turned', 'massaged', 'stirred'] as const)('%s is one step', (how) => {
    expect(on(how).steps).toEqual([{ kind: 'turn', how, face: null }])
  })
})
