import type { CureMethod } from '../cure/cure-method'
import { USUAL_DRYING_HOURS } from '../rules/house'
import { steadyRhythm, type Plan } from './plan'

/** What a lot says of itself where nobody laid a plan. */
export interface Planless {
  turnEveryDays: number
  readyFromDay: number
  bestByDay: number
  method: CureMethod
}

/**
 * The shop's usual way, where a lot came without a plan: its own rhythm and days, rinsed, dried and hot-smoked, sliced.
 * Whether it will be smoked at all, nobody said.
 */
export const assumedPlan = ({ turnEveryDays, readyFromDay, bestByDay, method }: Planless): Plan => ({
  cure: {
    rhythm: steadyRhythm(turnEveryDays),
    firstFace: null,
    stacked: false,
    pourOffEveryDays: null,
    looks: [],
    adds: method === 'two_applications' ? [{ when: { on: 'after_draining' }, face: 'all', share: null }] : [],
  },
  end: { by: method === 'excess' ? 'hard' : 'days', fromDay: readyFromDay, toDay: bestByDay, from: 'first_salt' },
  then: [
    { kind: 'rinse', times: 1 },
    { kind: 'dry', how: 'rack', hours: { ...USUAL_DRYING_HOURS }, untilTacky: true },
    { kind: 'heat', how: 'hot', sessions: 1, hours: null },
    { kind: 'slice' },
  ],
})
