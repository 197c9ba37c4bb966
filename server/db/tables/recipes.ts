import type { Recipe } from '#shared/contracts/recipes'
import type { CardDraft } from '#shared/contracts/cards'
import { bool, instant, int, json, nullable, text } from '../schema/column'
import { tableSpec } from '../schema/table-spec'

export const recipes = tableSpec('recipes', { code: text(16), name: text(), retired: bool() }, ['name', 'retired'])

/** A revision is never changed: a change is the next number. */
export const recipeRevisions = tableSpec('recipe_revisions', {
  recipeId: int(),
  number: int(),
  content: json<Recipe>(),
  note: nullable(text(500)),
  atMs: instant(),
  byId: int(),
})

/** A bench laid out beforehand; `lotId` once it was rubbed. */
export const benchCards = tableSpec(
  'bench_cards',
  { code: text(16), draft: json<CardDraft>(), atMs: instant(), byId: int(), lotId: nullable(int()) },
  ['draft', 'atMs', 'byId', 'lotId'],
)
