import { RULE_SETS } from '#core/rules/us-rules'
import type { BenchView } from '#shared/contracts/lots'
import type { Tables } from '../../db/store'
import { shopView, theShop } from '../office/office'
import { storeView } from '../store/store-view'

/** All the Bench needs to work out a cure without asking again. */
export async function benchView(tables: Tables): Promise<BenchView> {
  const [shop, row, store, scales, fridges] = await Promise.all([
    shopView(tables), theShop(tables), storeView(tables), tables.scales.find(), tables.fridges.find(),
  ])
  return { shop, rules: RULE_SETS[row.ruleSetId]!, meat: store.meat, ingredients: store.ingredients, scales, fridges }
}
