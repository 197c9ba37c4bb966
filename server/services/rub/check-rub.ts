import { localDay } from '#core/calendar/local-day'
import type { CuringAgent } from '#core/cure/agent'
import { usesOf } from '#core/places/place-kind'
import { legalMethod } from '#core/cure/cure-method'
import { limitsFor, type LotLimits } from '#core/rules/limits'
import type { RuleSet } from '#core/rules/rule-set'
import type { Milliseconds } from '#core/units/quantities'
import type { ShopView } from '#shared/contracts/lots'
import type { RubInput } from '#shared/contracts/rub'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { instruments } from '../../db/tables/instruments'
import type { shops } from '../../db/tables/people'
import type { places } from '../../db/tables/places'
import { refuse, type Answer, type WriteContext } from '../context'
import { scaleOf } from '../instruments/read-with'
import { shopView, theShop } from '../shop/shop-facts'
import { refuseDay } from '../refuse-day'
import { rulesInForce } from '../rules/rule-sets'
import { whenOf } from '../when-told'
import { findIngredients, type IngredientPart } from './find-ingredients'
import { findMeat, type MeatByCode } from './find-meat'
import { usableAgent } from './usable-agent'

/** What a rub names, found and fit for it. */
export interface Checked {
  shop: RowOf<typeof shops>
  view: ShopView
  /** When it was rubbed, and its day on the shop's clock. */
  rubbedAtMs: Milliseconds
  today: string
  rules: RuleSet
  limits: LotLimits
  meat: MeatByCode
  parts: IngredientPart[]
  meatScale: RowOf<typeof instruments>
  mixScale: RowOf<typeof instruments>
  fridge: RowOf<typeof places>
  /** Null for salt only. */
  agent: CuringAgent | null
}

async function toolsOf(tables: Tables, input: RubInput) {
  const [meatScale, mixScale] = [await scaleOf(tables, input.meatScaleId), await scaleOf(tables, input.mixScaleId)]
  if (!meatScale) return refuse('no_such_scale', {}, ['meatScaleId'])
  if (!mixScale) return refuse('no_such_scale', {}, ['mixScaleId'])
  const fridge = await tables.places.one({ id: input.fridgeId }, { lock: true })
  if (!fridge) return refuse('no_such_fridge', {}, ['fridgeId'])
  if (!usesOf(fridge).includes('cold')) return refuse('not_cold_place', { place: fridge.name }, ['fridgeId'])
  if (input.recipeRevisionId !== null && !(await tables.recipeRevisions.one({ id: input.recipeRevisionId })))
    return refuse('no_such_recipe', {}, ['recipeRevisionId'])
  return { ok: true, value: { meatScale, mixScale, fridge } } as const
}

/** Meat, ingredients, scales, fridge and rules of a rub: all there, and the curing salt allowed on this meat. */
export async function checkRub(ctx: WriteContext, input: RubInput): Promise<Answer<Checked>> {
  const { tables } = ctx
  const when = whenOf(ctx, input)
  if (!when.ok) return when
  const shop = await theShop(tables)
  const today = localDay(when.value, shop.zone)
  const tools = await toolsOf(tables, input)
  if (!tools.ok) return tools
  const meat = await findMeat(tables, input)
  if (!meat.ok) return meat
  const parts = await findIngredients(tables, input, today)
  if (!parts.ok) return parts
  // Told late, it was no earlier than what it is of: by the day, since deliveries are told late as well.
  for (const { code, receivedAtMs } of [...meat.value.values(), ...parts.value.map(part => part.lot)]) {
    const early = refuseDay(ctx, today, { code, day: localDay(receivedAtMs, shop.zone) }, ['when', 'atMs'])
    if (early) return early
  }
  const [rules, view] = [await rulesInForce(tables), await shopView(tables)]
  const limits = limitsFor({
    rules,
    cut: input.cut,
    method: legalMethod(input.method),
    rind: input.rind,
    choiceId: input.choiceId,
    house: view.house,
  })
  if (!limits) return refuse('no_rule', { cut: input.cut }, ['cut'])
  const agent = await usableAgent(tables, parts.value.find(part => part.role === 'agent')?.lot, {
    nitrateMaxPpm: limits.nitrateMaxPpm,
    purpose: input.purpose,
    today,
    jurisdiction: rules.jurisdiction,
    zone: shop.zone,
  })
  if (!agent.ok) return agent
  return {
    ok: true,
    value: {
      shop,
      view,
      rubbedAtMs: when.value,
      today,
      rules,
      limits,
      meat: meat.value,
      parts: parts.value,
      ...tools.value,
      agent: agent.value,
    },
  }
}
