import { RULE_SETS } from '#core/rules/us-rules'
import type { BenchView } from '#shared/contracts/lots'
import type { Tables } from '../../db/store'
import { scaleViews } from '../instruments/marks'
import { shopView, theShop } from '../office/office'
import { storeView } from '../store/store-view'

/** All the Bench needs to work out a cure without asking again. */
export async function benchView(tables: Tables, nowMs: number): Promise<BenchView> {
  const [shop, row, store, scales, fridges] = await Promise.all([
    shopView(tables), theShop(tables), storeView(tables), scaleViews(tables, nowMs), tables.fridges.find(),
  ])
  return { shop, rules: RULE_SETS[row.ruleSetId]!, meat: store.meat, ingredients: store.ingredients, scales, fridges }
}
