import type { Fraction } from '#core/units/quantities'
import { LEAST_MEASURED_SALT_SHARE, MOST_MEASURED_SALT_SHARE } from '#core/rules/house'
import type { CuringAgent } from '#core/cure/agent'
import type { Formulation } from '#core/cure/formulate'
import { judgeSalt } from '#core/rules/salt-weighed'
import type { RubInput } from '#shared/contracts/rub'
import { saltQuestion } from '#shared/judging/lot-question'
import { refuse, type Refusal } from '../context'
import { massOf, type IngredientPart } from './find-ingredients'

/**
 * The salt as weighed, judged beside the plan: too little or too much for any measured cure is refused, off by more
 * than a fifth is to be typed a second time. `share` is how much of it goes on now; the rest counts as planned.
 */
export function refuseSalt(
  input: RubInput,
  parts: readonly IngredientPart[],
  { plan, agent, share }: { plan: Formulation; agent: CuringAgent | null; share: Fraction },
): Refusal | null {
  const question = saltQuestion({
    method: input.method,
    plan,
    firstShare: share,
    agentSaltShare: agent?.saltFraction ?? 0,
    agentG: massOf(parts, 'agent'),
    saltG: massOf(parts, 'salt'),
    seasonings: parts.filter(part => part.seasoning !== null).map(part => part.weighedG),
  })
  if (!question) return null
  const found = judgeSalt(question)
  const by = input.salt === null ? 'agent' : 'salt'
  if (found.status === 'slip')
    return refuse(
      'salt_slip',
      { share: found.share, plannedShare: found.plannedShare, least: LEAST_MEASURED_SALT_SHARE, most: MOST_MEASURED_SALT_SHARE },
      [by, 'weighed'],
    )
  const firstG = (input.salt ?? input.agent)?.weighed.netG
  if (found.status === 'off' && (input.saltAgain === null || Math.abs(input.saltAgain.netG - (firstG ?? 0)) > 1e-9)) {
    return refuse('salt_off', { share: found.share, plannedShare: found.plannedShare }, ['saltAgain'])
  }
  return null
}
