import { LEAST_MEASURED_SALT_SHARE, MOST_MEASURED_SALT_SHARE } from '#core/rules/house'
import type { CuringAgent } from '#core/cure/agent'
import type { Formulation } from '#core/cure/formulate'
import { carriedBy } from '#core/cure/seasoning'
import { judgeSalt } from '#core/cure/salt-weighed'
import type { RubInput } from '#shared/contracts/rub'
import { refuse, type Refusal } from '../context'
import { massOf, type IngredientPart } from './rub-parts'

/** Salt in the curing salt, the salt and the seasonings, as weighed; seasonings by their composition. */
const saltIn = (parts: readonly IngredientPart[], agent: CuringAgent | null): number =>
  massOf(parts, 'salt')
  + massOf(parts, 'agent') * (agent?.saltFraction ?? 0)
  + parts.filter(part => part.role === 'spice').reduce((sum, part) => sum + part.weighedG * part.lot.saltFraction, 0)

/**
 * The salt as weighed, judged beside the plan: too little or too much for any measured cure is refused, off by more
 * than a fifth is to be typed a second time. `share` is how much of it goes on now; the rest counts as planned.
 */
export function refuseSalt(
  input: RubInput,
  parts: readonly IngredientPart[],
  { plan, agent, share }: { plan: Formulation; agent: CuringAgent | null; share: number },
): Refusal | null {
  if (input.method === 'salt_only') return null
  const basePlannedG = plan.saltG + plan.agentG * (agent?.saltFraction ?? 0)
  const plannedG = basePlannedG + carriedBy(plan.seasonings, 'saltFraction')
  if (!(plannedG > 0)) return null
  const found = judgeSalt({
    method: input.method,
    plannedG,
    weighedG: saltIn(parts, agent) + (1 - share) * basePlannedG,
    plannedShare: plan.totalSaltShare,
  })
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
