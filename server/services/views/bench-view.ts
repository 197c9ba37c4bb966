import type { Milliseconds } from '#core/units/quantities'
import { localDay } from '#core/calendar/local-day'
import type { BenchView } from '#shared/contracts/lots'
import type { Tables } from '../../db/database'
import { usualYields } from './usual-yields'
import { openCards } from '../cards/cards'
import { scaleViews } from '../instruments/marks'
import { shopView } from '../shop/shop-facts'
import { placeBriefs } from './place-views'
import { recipeViews } from '../recipes/recipes'
import { rulesInForce } from '../rules/rule-sets'
import { inStock } from './store-view'

/** All the Bench needs to work out a cure without asking again. */
export async function benchView(tables: Tables, nowMs: Milliseconds): Promise<BenchView> {
  const [shop, rules, store, scales, places, recipes, cards, yields] = await Promise.all([
    shopView(tables),
    rulesInForce(tables),
    inStock(tables),
    scaleViews(tables, nowMs),
    placeBriefs(tables),
    recipeViews(tables),
    openCards(tables),
    usualYields(tables),
  ])
  return {
    shop,
    rules,
    meat: store.meat,
    ingredients: store.ingredients,
    scales,
    places,
    recipes: recipes.filter(recipe => !recipe.retired),
    cards,
    yields,
    today: localDay(nowMs, shop.zone),
  }
}
