import { atKey } from '#core/lists/at-key'
import type { z } from 'zod'
import { groupBy } from '#core/lists/group-by'
import type { Recipe, recipeFile, recipeInput, recipeRetireInput, RecipeView } from '#shared/contracts/recipes'
import type { Tables } from '../../db/database'
import { nextCode } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { lockShop } from '../lock-rows'

/** Keys in one order, so that equal recipes are equal texts. */
const asText = (value: unknown): string =>
  JSON.stringify(value, (_key, v: unknown) =>
    v && typeof v === 'object' && !Array.isArray(v)
      ? Object.fromEntries(Object.entries(v).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : v,
  )

/** How many of the latest lots made by a revision are named. */
const LOTS_NAMED = 8

/** The recipe book, newest revision first, each with how many lots were made by it, and the latest. */
export async function recipeViews(tables: Tables): Promise<RecipeView[]> {
  const [recipes, revisions, users] = await Promise.all([
    tables.recipes.find({}, { order: [['name', 'ASC']] }),
    tables.recipeRevisions.find({}, { order: [['number', 'DESC']] }),
    tables.users.pick(['initials']),
  ])
  const keys = revisions.map(revision => revision.id)
  const [made, latest] = await Promise.all([
    tables.lots.totals('recipeRevisionId', { where: { recipeRevisionId: keys } }),
    tables.lots.pickEach(['code', 'recipeRevisionId'], {
      wheres: keys.map(recipeRevisionId => ({ recipeRevisionId })),
      first: { order: [['id', 'DESC']], limit: LOTS_NAMED },
    }),
  ])
  const lotsOf = groupBy(latest, lot => lot.recipeRevisionId)
  const initials = new Map(users.map(user => [user.id, user.initials]))
  const revisionsOf = groupBy(revisions, revision => revision.recipeId)
  return recipes.map(({ id, code, name, retired }) => ({
    code,
    name,
    retired,
    revisions: (revisionsOf.get(id) ?? []).map(({ id: revisionId, number, content, note, atMs, byId }) => ({
      id: revisionId,
      number,
      recipe: content,
      note,
      atMs,
      by: atKey(initials, byId),
      made: made.get(revisionId)?.count ?? 0,
      lots: (lotsOf.get(revisionId) ?? []).map(lot => lot.code),
    })),
  }))
}

async function insertRecipe(ctx: WriteContext, recipe: Recipe, note: string | null): Promise<string> {
  const code = await nextCode(ctx.tables, 'recipe')
  const recipeId = await ctx.tables.recipes.insert({ code, name: recipe.name, retired: false })
  await ctx.tables.recipeRevisions.insert({
    recipeId,
    number: 1,
    content: recipe,
    note,
    atMs: ctx.nowMs,
    byId: ctx.actor.id,
  })
  return code
}

const named = (tables: Tables, name: string) => tables.recipes.one({ name })

export async function addRecipe(
  ctx: WriteContext,
  input: z.output<typeof recipeInput>,
): Promise<Answer<{ code: string }>> {
  await lockShop(ctx.tables)
  if (await named(ctx.tables, input.recipe.name))
    return refuse('name_taken', { name: input.recipe.name }, ['recipe', 'name'])
  const code = await insertRecipe(ctx, input.recipe, input.note)
  recordEvent(ctx, { kind: 'recipe_written', subjects: [code], typed: input, computed: { number: 1 } })
  return { ok: true, value: { code } }
}

/** A change is the next number; what lots were made by stays as it was. */
export async function reviseRecipe(
  ctx: WriteContext,
  code: string,
  input: z.output<typeof recipeInput>,
): Promise<Answer<{ code: string; number: number }>> {
  const row = await ctx.tables.recipes.one({ code }, { lock: true })
  if (!row) return refuse('no_such_recipe', { code })
  await lockShop(ctx.tables)
  const same = await named(ctx.tables, input.recipe.name)
  if (same && same.id !== row.id) return refuse('name_taken', { name: input.recipe.name }, ['recipe', 'name'])
  const [latest] = await ctx.tables.recipeRevisions.find(
    { recipeId: row.id },
    { order: [['number', 'DESC']], limit: 1 },
  )
  if (asText(latest!.content) === asText(input.recipe))
    return refuse('recipe_unchanged', { number: latest!.number })
  const number = latest!.number + 1
  await ctx.tables.recipeRevisions.insert({
    recipeId: row.id,
    number,
    content: input.recipe,
    note: input.note,
    atMs: ctx.nowMs,
    byId: ctx.actor.id,
  })
  await ctx.tables.recipes.update(row.id, { name: input.recipe.name })
  recordEvent(ctx, { kind: 'recipe_written', subjects: [code], typed: input, computed: { number } })
  return { ok: true, value: { code, number } }
}

/** Put away, or taken out again: it stays in the book either way. */
export async function retireRecipe(
  ctx: WriteContext,
  code: string,
  input: z.output<typeof recipeRetireInput>,
): Promise<Answer<object>> {
  const row = await ctx.tables.recipes.one({ code }, { lock: true })
  if (!row) return refuse('no_such_recipe', { code })
  await ctx.tables.recipes.update(row.id, { retired: input.retired })
  recordEvent(ctx, { kind: 'recipe_retired', subjects: [code], typed: input })
  return { ok: true, value: {} }
}

/** Recipes from a file. One whose name is taken comes in beside it, under a name that says so. */
export async function importRecipes(
  ctx: WriteContext,
  file: z.output<typeof recipeFile>,
): Promise<Answer<{ codes: string[] }>> {
  await lockShop(ctx.tables)
  const codes: string[] = []
  for (const recipe of file.recipes) {
    let { name } = recipe
    for (let n = 2; await named(ctx.tables, name); n++) name = `${recipe.name.slice(0, 70)} (${n})`
    codes.push(await insertRecipe(ctx, { ...recipe, name }, 'from a file'))
  }
  recordEvent(ctx, { kind: 'recipes_imported', subjects: codes, typed: file, computed: { codes } })
  return { ok: true, value: { codes } }
}
