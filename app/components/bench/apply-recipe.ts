import type { Recipe, RecipeView } from '#shared/contracts/recipes'
import type { IngredientView } from '#shared/contracts/store'
import { percentText } from '~/words/percent-text'
import type { BenchDraft, SeasoningDraft } from './bench-draft'

/** The lot of the store a recipe's seasoning means: by its name, in date, with the most left. */
const lotNamed = (name: string, lots: readonly IngredientView[], today: string): IngredientView | undefined =>
  lots
    .filter(
      lot =>
        (lot.kind === 'spice' || lot.kind === 'sugar')
        && lot.leftG > 0
        && lot.name.toLowerCase() === name.toLowerCase()
        && (lot.bestBefore === null || lot.bestBefore >= today),
    )
    .toSorted((a, b) => b.leftG - a.leftG)[0]

const seasoningOf = (
  s: Recipe['seasonings'][number],
  lots: readonly IngredientView[],
  today: string,
): SeasoningDraft => ({
  name: s.name,
  lotCode: lotNamed(s.name, lots, today)?.code ?? '',
  per: s.per,
  amount: String(s.amount),
  group: s.group,
  weighed: '',
})

/**
 * Lays a recipe on the bench: meat, pieces and what was weighed stay; targets, method, seasonings, sides and days come
 * from the recipe.
 */
export function applyRecipe(
  draft: BenchDraft,
  recipe: RecipeView,
  revisionId: number,
  store: { ingredients: readonly IngredientView[]; today: string },
): BenchDraft {
  const revision = recipe.revisions.find(one => one.id === revisionId)!
  const r = revision.recipe
  const agent = store.ingredients.find(
    lot =>
      lot.kind === 'curing_salt'
      && lot.agentKind === r.agent
      && lot.leftG > 0
      && (lot.bestBefore === null || lot.bestBefore >= store.today),
  )
  return {
    ...draft,
    method: r.method === 'salt_only' ? 'dry' : r.method,
    saltOnly: r.agent === null,
    purpose: r.purpose,
    targetPpm: r.nitritePpm,
    saltShare: percentText(r.saltShare),
    sugarShare: percentText(r.sugarShare),
    saltBasis: r.saltBasis,
    fromAgentOnly: false,
    agent: { ...draft.agent, lotCode: agent?.code ?? draft.agent.lotCode },
    ...(r.waterShare === null ? {} : { waterShare: percentText(r.waterShare) }),
    ...(r.pickUp === null ? {} : { mostPickUp: percentText(r.pickUp) }),
    seasonings: r.seasonings.map(s => seasoningOf(s, store.ingredients, store.today)),
    sides: { flesh: percentText(r.sides.flesh), fat: percentText(r.sides.fat), edges: percentText(r.sides.edges) },
    readyFromDay: r.days.readyFrom,
    bestByDay: r.days.bestBy,
    plan: r.plan ?? null,
    recipe: { code: recipe.code, revisionId, number: revision.number, name: r.name },
  }
}
