import { expect, it } from 'vitest'
import { laterShare } from './later-share'
import { planFault } from './plan-fault'
import { STARTER_PLANS } from './starters'
import type { PlannedAdd } from './plan'

const plan = (...shares: (number | null)[]) => ({
  ...STARTER_PLANS.bags,
  cure: {
    ...STARTER_PLANS.bags.cure,
    adds: shares.map((share, i): PlannedAdd => ({ when: { on: 'day', day: i + 1 }, face: 'up', share })),
  },
})

it('what is kept for later is the sum of what has a share; by the look of it counts as nothing', () => {
  expect(laterShare(null)).toBe(0)
  expect(laterShare(plan())).toBe(0)
  expect(laterShare(plan(0.25, null, 0.25))).toBe(0.5)
})
it('a plan that keeps nearly all of it is a fault', () => {
  expect(planFault(plan(0.5, 0.4))).toBeNull()
  expect(planFault(plan(0.5, 0.45))).toBe('adds_over')
})
