import { sumOf } from '../lists/sum-of'
import type { Grams } from '../units/quantities'
import { toDivision } from './to-division'

/** The mix as planned: what of each belongs to how much meat. `agent` is the curing salt's key. */
export interface MixPlan {
  greenG: Grams
  parts: readonly { key: string; massG: Grams }[]
  agentKey: string | null
  divisionG: Grams
  meatDivisionG: Grams
}

export type Mishap
  = | { kind: 'overweighed'; weighedG: Grams; mixed: boolean }
    | { kind: 'tare_forgotten'; tareG: Grams; mixed: boolean }
    | { kind: 'spilled'; leftG: Grams }
    | { kind: 'late_piece'; massG: Grams }

/** One thing to do, in grams; `key` names the ingredient, absent for meat and for the mix as a whole. */
export interface MendStep {
  do: 'take_off' | 'weigh_more' | 'add_meat' | 'use_only' | 'set_aside' | 'weigh_less'
  key?: string
  massG: Grams
}
/** One way out, and what then lies on the meat. */
export interface CureMend {
  way: 'take_off' | 'more_meat' | 'remix' | 'make_up' | 'weigh_again'
  steps: MendStep[]
  after: { greenG: Grams; agentG: Grams; mixG: Grams }
}

/**
 * Ways out of a mishap at the bench, in grams to the scale's division. Each brings every ingredient back to its planned
 * share of the meat, so the verdict is the plan's again; empty when nothing is wrong. Conserves mass: what is neither
 * used nor set aside was never weighed. `weighedG` and `leftG` 0 or more; late pieces and tares more than 0.
 */
export function mend(plan: MixPlan, mishap: Mishap): CureMend[] {
  const mixG = sumOf(plan.parts, part => part.massG)
  const plannedAgentG = plan.parts.find(part => part.key === plan.agentKey)?.massG ?? 0
  const fine = (massG: Grams) => toDivision(massG, plan.divisionG)
  const coarse = (massG: Grams) => toDivision(massG, plan.meatDivisionG)
  const more = (ratio: number, but?: string | null): MendStep[] =>
    plan.parts
      .filter(part => part.key !== but)
      .map(part => ({ do: 'weigh_more' as const, key: part.key, massG: fine(part.massG * ratio) }))
      .filter(step => step.massG > 0)
  const asPlanned = { greenG: plan.greenG, agentG: plannedAgentG, mixG }

  switch (mishap.kind) {
    case 'overweighed': {
      const overG = mishap.weighedG - plannedAgentG
      if (overG < 0 && plannedAgentG > 0)
        return [
          { way: 'make_up', steps: [{ do: 'weigh_more', key: plan.agentKey!, massG: fine(-overG) }], after: asPlanned },
        ]
      if (!(overG > 0) || !(plannedAgentG > 0)) return []
      if (!mishap.mixed)
        return [
          { way: 'take_off', steps: [{ do: 'take_off', key: plan.agentKey!, massG: fine(overG) }], after: asPlanned },
        ]
      const ratio = mishap.weighedG / plannedAgentG
      const rest = more(ratio - 1, plan.agentKey)
      const wholeG = mishap.weighedG + (mixG - plannedAgentG) + sumOf(rest, step => step.massG)
      return [
        {
          way: 'remix',
          steps: [
            ...rest,
            { do: 'use_only', massG: fine(wholeG / ratio) },
            { do: 'set_aside', massG: fine(wholeG - wholeG / ratio) },
          ],
          after: asPlanned,
        },
        {
          way: 'more_meat',
          steps: [...rest, { do: 'add_meat', massG: coarse(plan.greenG * (ratio - 1)) }],
          after: { greenG: plan.greenG * ratio, agentG: mishap.weighedG, mixG: wholeG },
        },
      ]
    }
    case 'tare_forgotten': {
      const rightG = plan.greenG - mishap.tareG
      if (!(rightG > 0)) return []
      const share = rightG / plan.greenG
      const after = { greenG: rightG, agentG: plannedAgentG * share, mixG: mixG * share }
      return mishap.mixed
        ? [
            {
              way: 'remix',
              steps: [
                { do: 'use_only', massG: fine(mixG * share) },
                { do: 'set_aside', massG: fine(mixG * (1 - share)) },
              ],
              after,
            },
            { way: 'more_meat', steps: [{ do: 'add_meat', massG: coarse(mishap.tareG) }], after: asPlanned },
          ]
        : [
            {
              way: 'weigh_again',
              steps: plan.parts.map(part => ({
                do: 'weigh_less' as const,
                key: part.key,
                massG: fine(part.massG * share),
              })),
              after,
            },
          ]
    }
    case 'spilled': {
      const lostG = mixG - mishap.leftG
      return lostG > 0 && mishap.leftG >= 0 ? [{ way: 'make_up', steps: more(lostG / mixG), after: asPlanned }] : []
    }
    case 'late_piece': {
      const ratio = mishap.massG / plan.greenG
      return mishap.massG > 0
        ? [
            {
              way: 'make_up',
              steps: more(ratio),
              after: {
                greenG: plan.greenG + mishap.massG,
                agentG: plannedAgentG * (1 + ratio),
                mixG: mixG * (1 + ratio),
              },
            },
          ]
        : []
    }
  }
}
