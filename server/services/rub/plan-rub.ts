import { sumOf } from '#core/lists/sum-of'
import { formulate, type Formulation } from '#core/cure/formulate'
import { sugarOf, type SeasoningWanted } from '#core/cure/seasoning'
import { LEAST_SALT_ONLY_SHARE } from '#core/rules/house'
import type { RubInput } from '#shared/contracts/rub'
import { refuse, refuseAt, type Answer } from '../context'
import type { Checked } from './check-rub'
import { firstShareOf, laterByLook } from './first-share'
import { massOf, type IngredientPart } from './find-ingredients'

const seasoningsOf = (input: RubInput, parts: readonly IngredientPart[]): SeasoningWanted[] =>
  parts.flatMap((part) => {
    const wanted = part.seasoning === null ? null : input.seasonings[part.seasoning]!
    if (!wanted) return []
    const { saltFraction, waterFraction } = part.lot
    return [
      {
        key: part.lot.name,
        per: wanted.per,
        amount: wanted.amount,
        pieces: wanted.pieces?.map(number => number - 1) ?? null,
        composition: { saltFraction, sugarFraction: sugarOf(part.lot), waterFraction },
      },
    ]
  })

const sugarFractionOf = (parts: readonly IngredientPart[]): number => {
  const sugar = parts.find(part => part.role === 'sugar' && part.seasoning === null)
  return sugar ? sugarOf(sugar.lot) : 1
}

export const greenOf = (input: RubInput): number => sumOf(input.pieces, piece => piece.weight.netG)

/**
 * Salt as weighed for a cure without nitrite, what is still to come counted as planned: under its floor it is no cure.
 * Where more goes on by the look of it, nobody can say yet.
 */
function refuseWeak(input: RubInput, parts: readonly IngredientPart[], plan: Formulation) {
  if (input.agent !== null || laterByLook(input)) return null
  const saltG = massOf(parts, 'salt') / firstShareOf(input)
  const share = plan.saltG > 0 ? (plan.addedSaltShare * saltG) / plan.saltG : 0
  if (share >= LEAST_SALT_ONLY_SHARE) return null
  const leastG = share > 0 ? (massOf(parts, 'salt') * LEAST_SALT_ONLY_SHARE) / share : LEAST_SALT_ONLY_SHARE * greenOf(input)
  return refuse('salt_only_too_weak', { leastG, leastShare: LEAST_SALT_ONLY_SHARE }, ['salt', 'weighed'])
}

/** What these pieces should get by the targets; a plan that cannot be weighed, or is no cure, is refused. */
export function planRub(input: RubInput, { agent, mixScale, parts }: Checked): Answer<Formulation> {
  const greenG = greenOf(input)
  const waterG = input.water?.netG ?? 0
  const plan = formulate({
    method: input.method,
    piecesG: input.pieces.map(piece => piece.weight.netG),
    agent,
    targets: input.targets,
    readabilityG: mixScale.readability,
    fromAgentOnly: input.fromAgentOnly,
    sugarFraction: sugarFractionOf(parts),
    seasonings: seasoningsOf(input, parts),
    ...(waterG > 0 ? { waterShare: waterG / greenG } : {}),
    ...(input.mostPickUp ? { pickUp: input.mostPickUp } : {}),
  })
  if (!plan.ok) return refuseAt(['targets', 'saltShare'], plan)
  if (plan.value.saltG > 0 && input.salt === null)
    return refuse('salt_missing', { saltG: plan.value.saltG }, ['salt', 'weighed'])
  return refuseWeak(input, parts, plan.value) ?? plan
}
