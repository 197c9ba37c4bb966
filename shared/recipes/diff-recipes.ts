import type { Recipe, RecipeSeasoning } from '../contracts/recipes'

type Field = 'name' | 'cut' | 'purpose' | 'method' | 'agent' | 'nitritePpm' | 'saltShare' | 'saltBasis' | 'sugarShare' | 'waterShare' | 'pickUp' | 'sides' | 'days' | 'note'
const FIELDS: readonly Field[] = ['name', 'cut', 'purpose', 'method', 'agent', 'nitritePpm', 'saltShare', 'saltBasis', 'sugarShare', 'waterShare', 'pickUp', 'sides', 'days', 'note']

/** One difference: a field with both values, or a seasoning that was added, left out or changed. */
export type RecipeChange
  = | { field: Field, before: unknown, after: unknown }
    | { field: 'seasoning', before: RecipeSeasoning | null, after: RecipeSeasoning | null }

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
/** A seasoning is known by its name and the pieces it goes on. */
const keyOf = (s: RecipeSeasoning): string => `${s.name.toLowerCase()}|${s.group}`

/** What is different between two revisions, in the order a recipe is read; empty when nothing is. */
export function diffRecipes(before: Recipe, after: Recipe): RecipeChange[] {
  const fields = FIELDS.filter(field => !same(before[field], after[field])).map(field => ({ field, before: before[field], after: after[field] }))
  const keys = [...new Set([...before.seasonings, ...after.seasonings].map(keyOf))]
  const seasonings = keys.flatMap((key) => {
    const [was, is] = [before, after].map(recipe => recipe.seasonings.find(s => keyOf(s) === key) ?? null)
    return same(was, is) ? [] : [{ field: 'seasoning' as const, before: was!, after: is! }]
  })
  return [...fields, ...seasonings]
}
