import { agentType } from '#core/agents/agent-kinds'
import { formulate, type Formulation, type FormulateCode } from '#core/cure/formulate'
import type { SeasoningWanted } from '#core/cure/seasoning'
import type { Result } from '#core/result'
import type { Recipe } from '../contracts/recipes'

/** Seasonings of a recipe for pieces of which the first half is A and the rest B. */
const wantedOf = (recipe: Recipe, pieces: number): SeasoningWanted[] => recipe.seasonings.map(({ name, per, amount, group, saltFraction, sugarFraction, waterFraction }) => {
  const half = Math.ceil(pieces / 2)
  const indexes = Array.from({ length: pieces }, (_, i) => i)
  return { key: name, per, amount, pieces: group === 'all' ? null : indexes.filter(i => (i < half) === (group === 'A')), composition: { saltFraction, sugarFraction, waterFraction } }
})

/** A recipe for any meat, in grams: curing agent as its kind's label usually says. Weights of pieces more than 0. */
export const scaleRecipe = (recipe: Recipe, piecesG: readonly number[], readabilityG: number): Result<Formulation, FormulateCode> => formulate({
  method: recipe.method, piecesG, agent: recipe.agent === null ? null : agentType(recipe.agent).usual, readabilityG,
  targets: { saltShare: recipe.saltShare, saltBasis: recipe.saltBasis, sugarShare: recipe.sugarShare, nitritePpm: recipe.nitritePpm },
  seasonings: wantedOf(recipe, piecesG.length), ...(recipe.waterShare === null ? {} : { waterShare: recipe.waterShare }), ...(recipe.pickUp === null ? {} : { pickUp: recipe.pickUp }),
})
