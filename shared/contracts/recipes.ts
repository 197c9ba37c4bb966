import {
  BEST_BY_RANGE_DAYS,
  FLAVOURING_RANGE,
  PICK_UP_RANGE,
  READY_RANGE_DAYS,
  SALT_RANGE,
  SUGAR_RANGE,
  TARGET_RANGE_PPM,
  WATER_RANGE,
  WHOLE_RANGE,
} from '#core/rules/ranges'
import type { Milliseconds } from '#core/units/quantities'
import { MOST_SEASONINGS } from '#core/rules/house'
import { z } from 'zod'
import { AGENT_KINDS } from '#core/agents/agent-kinds'
import { PURPOSES } from '#core/agents/agent-fault'
import { CURE_METHODS } from '#core/cure/cure-method'
import { AMOUNT_KINDS } from '#core/cure/seasoning'
import { CUTS } from '#core/rules/cuts'
import { ALLERGENS } from './allergens'
import { name, note, withinWhole, number, whole } from '../entry/fields'
import { named, type EntryCode } from '../faults/issues'
import { planContract } from './plans'
import { MOST_RECIPES } from '../faults/sizes'

/** Pieces of one lot may be flavoured apart; unmarked ones are A. */
export const FLAVOURS = ['A', 'B', 'C', 'D'] as const
export type Flavour = (typeof FLAVOURS)[number]
const fraction = () => number(WHOLE_RANGE)

/** One flavouring of a recipe. `group` "all", or the mark of the pieces that get it. */
export const recipeSeasoning = z
  .strictObject({
    name: name(80),
    per: z.enum(AMOUNT_KINDS),
    amount: number(FLAVOURING_RANGE),
    saltFraction: fraction(),
    sugarFraction: fraction(),
    waterFraction: fraction(),
    allergens: z.array(z.enum(ALLERGENS)).max(ALLERGENS.length),
    group: z.enum(['all', ...FLAVOURS]),
  })
  .refine(s => withinWhole(s.saltFraction, s.sugarFraction, s.waterFraction), named('more_than_whole'))

/**
 * A cure recipe, on green weight, for any meat. Shares are mass fractions: 0.025 is 2.5 %. What the recipe book keeps,
 * exports and imports.
 */
export const recipeContract = z
  .strictObject({
    name: name(80),
    cut: z.enum(CUTS),
    purpose: z.enum(PURPOSES),
    method: z.enum(CURE_METHODS),
    /** Null: salt only, by any method. */
    agent: z.enum(AGENT_KINDS).nullable(),
    nitritePpm: number(TARGET_RANGE_PPM),
    saltShare: number(SALT_RANGE),
    saltBasis: z.enum(['total', 'added']),
    sugarShare: number(SUGAR_RANGE),
    waterShare: number(WATER_RANGE).nullable(),
    pickUp: number(PICK_UP_RANGE).nullable(),
    seasonings: z.array(recipeSeasoning).max(MOST_SEASONINGS),
    sides: z.strictObject({ flesh: fraction(), fat: fraction(), edges: fraction() }),
    days: z.strictObject({ readyFrom: whole(READY_RANGE_DAYS), bestBy: whole(BEST_BY_RANGE_DAYS) }),
    /** The plan from the rub on; null: as the shop usually does. Its days are the recipe's. Since version 2. */
    plan: planContract.nullable().default(null),
    note: note(),
  })
  .superRefine((recipe, ctx) => {
    const fault = (path: string, message: EntryCode) => ctx.addIssue({ code: 'custom', path: [path], message })
    if (recipe.agent === null && recipe.method !== 'salt_only' && recipe.nitritePpm > 0) fault('agent', 'agent_missing')
    if (recipe.method === 'salt_only' && recipe.agent !== null) fault('agent', 'agent_in_salt_only')
    if (recipe.days.bestBy < recipe.days.readyFrom) fault('days', 'best_by_before_ready')
    if (recipe.sides.flesh + recipe.sides.fat + recipe.sides.edges === 0) fault('sides', 'sides_empty')
  })
export type Recipe = z.output<typeof recipeContract>
export type RecipeSeasoning = z.output<typeof recipeSeasoning>

export const recipeInput = z.strictObject({ recipe: recipeContract, note: note() })
export const recipeRetireInput = z.strictObject({ retired: z.boolean() })

export const RECIPE_FORMAT = 'veldmoor-recipes'
export const RECIPE_VERSION = 3
/** The first had no plans, the second nothing that is massaged and turned in one visit. Read for ever. */
const READ_VERSIONS = [1, 2, RECIPE_VERSION] as const
/** A file of recipes. docs/recipes.schema.json publishes it. */
export const recipeFile = z.strictObject({
  format: z.literal(RECIPE_FORMAT, named('not_a_recipe_file')),
  version: z.literal(READ_VERSIONS, named('not_a_recipe_file')),
  recipes: z.array(recipeContract).min(1, named('no_recipes')).max(MOST_RECIPES, named('too_many_recipes')),
})

/** The file of recipes as a JSON Schema, draft 2020-12. */
export const recipeSchema = (): object => ({
  ...z.toJSONSchema(recipeFile, { io: 'input' }),
  title: 'Cure recipes',
  description:
    'On green weight. Shares and fractions are mass fractions, 0 to 1; nitritePpm is ppm as NaNO2. '
    + 'A seasoning\'s amount is per cent of green weight, grams per kilogram of it, or grams a piece, '
    + 'as `per` says; its fractions come to 1 at most. Salt-only recipes have no agent and 0 ppm, by any method; '
    + 'days.bestBy is not before days.readyFrom.',
})

/** `made`: how many lots by it; `lots`: the latest of them. */
export interface RevisionView {
  id: number
  number: number
  recipe: Recipe
  note: string | null
  atMs: Milliseconds
  by: string
  made: number
  lots: string[]
}
export interface RecipeView {
  code: string
  name: string
  retired: boolean
  revisions: RevisionView[]
}
