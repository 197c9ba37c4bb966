import type { Recipe, RecipeSeasoning } from '../contracts/recipes'

type Field
  = | 'name'
    | 'cut'
    | 'purpose'
    | 'method'
    | 'agent'
    | 'nitritePpm'
    | 'saltShare'
    | 'saltBasis'
    | 'sugarShare'
    | 'waterShare'
    | 'pickUp'
    | 'sides'
    | 'days'
    | 'plan'
    | 'note'
const FIELDS: readonly Field[] = [
  'name',
  'cut',
  'purpose',
  'method',
  'agent',
  'nitritePpm',
  'saltShare',
  'saltBasis',
  'sugarShare',
  'waterShare',
  'pickUp',
  'sides',
  'days',
  'plan',
  'note',
]

/** One difference: a field with both values, or a seasoning that was added, left out or changed. */
export type RecipeChange
  = | { field: Field; before: unknown; after: unknown }
    | { field: 'seasoning'; before: RecipeSeasoning | null; after: RecipeSeasoning | null }

/** What was not there yet is as if it were empty. */
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null)
/** A seasoning is known by its name and the pieces it goes on; one that is there twice, by its turn. */
function keyed(recipe: Recipe): Map<string, RecipeSeasoning> {
  const seen = new Map<string, number>()
  return new Map(
    recipe.seasonings.map((s) => {
      const key = `${s.name.toLowerCase()}|${s.group}`
      const turn = (seen.get(key) ?? 0) + 1
      seen.set(key, turn)
      return [`${key}|${turn}`, s]
    }),
  )
}

/** What is different between two revisions, in the order a recipe is read; empty when nothing is. */
export function diffRecipes(before: Recipe, after: Recipe): RecipeChange[] {
  const fields = FIELDS.filter(field => !same(before[field], after[field])).map(field => ({
    field,
    before: before[field],
    after: after[field],
  }))
  const [was, is] = [keyed(before), keyed(after)]
  const seasonings = [...new Set([...was.keys(), ...is.keys()])].flatMap((key) => {
    const change = { field: 'seasoning' as const, before: was.get(key) ?? null, after: is.get(key) ?? null }
    return same(change.before, change.after) ? [] : [change]
  })
  return [...fields, ...seasonings]
}
