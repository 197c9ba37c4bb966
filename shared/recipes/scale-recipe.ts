import type { Grams } from '#core/units/quantities'
import { agentType } from '#core/agents/agent-kinds'
import { formulate, type Formulation, type FormulateCode } from '#core/cure/formulate'
import type { SeasoningWanted } from '#core/cure/seasoning'
import type { Result } from '#core/result'
import { FLAVOURS, type Recipe } from '../contracts/recipes'

/**
 * Seasonings of a recipe for pieces of which the first part is A, the next B, and so on to the last mark it speaks of;
 * two parts at least.
 */
function wantedOf(recipe: Recipe, pieces: number): SeasoningWanted[] {
  const parts = Math.max(2, ...recipe.seasonings.map(s => (s.group === 'all' ? 0 : FLAVOURS.indexOf(s.group) + 1)))
  const markOf = (i: number) => FLAVOURS[Math.floor((i * parts) / pieces)]
  const indexes = Array.from({ length: pieces }, (_, i) => i)
  return recipe.seasonings.map(({ name, per, amount, group, saltFraction, sugarFraction, waterFraction }) => ({
    key: name,
    per,
    amount,
    pieces: group === 'all' ? null : indexes.filter(i => markOf(i) === group),
    composition: { saltFraction, sugarFraction, waterFraction },
  }))
}

/** A recipe for any meat, in grams: curing agent as its kind's label usually says. Weights of pieces more than 0. */
export const scaleRecipe = (
  recipe: Recipe,
  piecesG: readonly number[],
  readabilityG: Grams,
): Result<Formulation, FormulateCode> =>
  formulate({
    method: recipe.method,
    piecesG,
    agent: recipe.agent === null ? null : agentType(recipe.agent).usual,
    readabilityG,
    targets: {
      saltShare: recipe.saltShare,
      saltBasis: recipe.saltBasis,
      sugarShare: recipe.sugarShare,
      nitritePpm: recipe.nitritePpm,
    },
    seasonings: wantedOf(recipe, piecesG.length),
    ...(recipe.waterShare === null ? {} : { waterShare: recipe.waterShare }),
    ...(recipe.pickUp === null ? {} : { pickUp: recipe.pickUp }),
  })
