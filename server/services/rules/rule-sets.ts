import { houseOf } from '../shop/house-of'
import type { RuleSet } from '#core/rules/rule-set'
import { SHIPPED_RULES } from '#core/rules/sets/all-rules'
import type { RulesView } from '#shared/contracts/rules'
import type { Tables } from '../../db/database'
import { theShop } from '../shop/shop-facts'

/** A rule set by its id, shipped or the shop's own; null when there is none of that name. */
export async function ruleSetById(tables: Tables, ruleSetId: string): Promise<RuleSet | null> {
  return SHIPPED_RULES.find(rules => rules.id === ruleSetId) ?? (await tables.ruleSets.one({ ruleSetId }))?.own ?? null
}

/** The rule set that verdicts go by. */
export async function rulesInForce(tables: Tables): Promise<RuleSet> {
  const { ruleSetId } = await theShop(tables)
  const rules = await ruleSetById(tables, ruleSetId)
  if (!rules) throw new Error(`the shop's rule set ${ruleSetId} is gone`)
  return rules
}

/** Every rule set there is, with who confirmed it, and what the shop asks beyond the law. */
export async function rulesView(tables: Tables): Promise<RulesView> {
  const [shop, rows] = await Promise.all([theShop(tables), tables.ruleSets.find()])
  const own = rows.flatMap(row => (row.own ? [row.own] : []))
  const sets = [...SHIPPED_RULES, ...own].map((rules) => {
    const row = rows.find(one => one.ruleSetId === rules.id)
    return {
      rules,
      own: own.includes(rules),
      inForce: rules.id === shop.ruleSetId,
      confirmed: row?.confirmedBy ? { by: row.confirmedBy, on: row.confirmedOn!, reference: row.reference! } : null,
    }
  })
  return {
    sets,
    house: houseOf(shop),
  }
}
