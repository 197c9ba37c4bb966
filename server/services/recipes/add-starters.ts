import type { Milliseconds, Ppm } from '#core/units/quantities'
import { STARTERS } from '#shared/recipes/starters'
import type { Tables } from '../../db/database'
import { nextCodes } from '../book/next-code'

/** Fills a new shop's recipe book, none above the shop's own target; answers with the codes. */
export async function addStarters(
  tables: Tables,
  by: { id: number; nowMs: Milliseconds; targetPpm: Ppm },
): Promise<string[]> {
  const codes = await nextCodes(tables, 'recipe', STARTERS.length)
  for (const [i, recipe] of STARTERS.entries()) {
    const recipeId = await tables.recipes.insert({ code: codes[i]!, name: recipe.name, retired: false })
    await tables.recipeRevisions.insert({
      recipeId,
      number: 1,
      content: { ...recipe, nitritePpm: Math.min(recipe.nitritePpm, by.targetPpm) },
      note: 'came with the shop',
      atMs: by.nowMs,
      byId: by.id,
    })
  }
  return codes
}
