import { sumOf } from '#core/lists/sum-of'
import { MIX_NEAR_SHARE } from '#core/rules/house'
import type { z } from 'zod'
import { bulkAgent, type BulkPart } from '#core/cure/bulk-mix'
import { ingoingNitritePpm } from '#core/cure/ingoing-nitrite'
import { localDay } from '#core/calendar/local-day'
import { isPastDate } from '#core/store/past-date'
import { type Grams, GRAMS_PER_KILOGRAM } from '#core/units/quantities'
import type { bulkMixInput } from '#shared/contracts/rub'
import { ROLE_OF_KIND, type MixRole } from '#shared/contracts/store'
import type { RowOf } from '../../db/schema/table-spec'
import type { ingredientLots } from '../../db/tables/store'
import { nextCode } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, refuseAt, type Answer, type WriteContext } from '../context'
import { scaleOf } from '../instruments/read-with'
import { theShop } from '../shop/shop-facts'
import { partyNamed } from './parties'
import { ingredientLeftG } from '../store-rows/stock'
import { agentOf } from '../store-rows/ingredient-views'

/**
 * A mix for many kilograms, weighed from lots in the Store: it becomes an ingredient lot of its own, dispensed by
 * weight.
 */
export async function makeMix(
  ctx: WriteContext,
  input: z.output<typeof bulkMixInput>,
): Promise<Answer<{ code: string }>> {
  const { tables } = ctx
  const shop = await theShop(tables)
  const today = localDay(ctx.nowMs, shop.zone)
  const scale = await scaleOf(tables, input.scaleId)
  if (!scale) return refuse('no_such_scale', {}, ['scaleId'])
  const found: { lot: RowOf<typeof ingredientLots>; role: MixRole; massG: Grams; typed: string }[] = []
  const code = [...new Set(input.parts.map(part => part.lotCode))]
  const lots = await tables.ingredientLots.find({ code }, { lock: true, order: [['id', 'ASC']] })
  for (const [i, part] of input.parts.entries()) {
    const path = ['parts', i, 'lotCode']
    const lot = lots.find(one => one.code === part.lotCode)
    if (!lot) return refuse('no_such_ingredient', { code: part.lotCode }, path)
    if (lot.kind === 'mix') return refuse('mix_of_mix', { code: lot.code }, path)
    if (lot.iodised) return refuse('salt_iodised', { code: lot.code, name: lot.name }, path)
    if (isPastDate(lot, today))
      return refuse('ingredient_expired', { code: lot.code, name: lot.name, bestBefore: lot.bestBefore! }, path)
    if (found.some(one => one.lot.id === lot.id)) return refuse('mix_lot_twice', { code: lot.code }, path)
    const leftG = await ingredientLeftG(tables, lot)
    if (part.weighed.netG > leftG)
      return refuse('ingredient_used_up', { code: lot.code, leftG: Math.max(0, leftG) }, [
        'parts',
        i,
        'weighed',
      ])
    found.push({ lot, role: ROLE_OF_KIND[lot.kind], massG: part.weighed.netG, typed: part.weighed.typed })
  }
  const agents = found.filter(part => part.role === 'agent')
  if (agents.length > 1) return refuse('mix_two_agents', {}, ['parts'])
  const agent = agents[0] && agentOf(agents[0].lot)
  if (!agent) return refuse('mix_without_agent', {}, ['parts'])
  const parts: BulkPart[] = found.map(({ role, massG, lot }) => ({
    role,
    massG,
    saltFraction: lot.saltFraction,
    sugarFraction: lot.sugarFraction,
  }))
  const mix = bulkAgent(agent, parts, scale.readability)
  if (!mix.ok) return refuseAt(['parts'], mix)
  const massG = sumOf(parts, part => part.massG)
  const ppm = ingoingNitritePpm(input.forKg * GRAMS_PER_KILOGRAM, [{ ...mix.value, massG }])
  if (Math.abs(ppm / input.ppm - 1) > MIX_NEAR_SHARE)
    return refuse('mix_misses', { ppm, wantedPpm: input.ppm, kg: input.forKg }, ['parts'])

  const supplierId = await partyNamed(tables, 'supplier', shop.name)
  const mixCode = await nextCode(tables, 'ingredient')
  const mixLotId = await tables.ingredientLots.insert({
    code: mixCode,
    kind: 'mix',
    name: input.name,
    supplierId,
    supplierLot: mixCode,
    amountG: massG,
    amountTyped: `${massG} g`,
    bestBefore: input.bestBefore,
    certificate: agents[0]!.lot.certificate,
    ...mix.value,
    nitrateAs: mix.value.nitrateAs ?? 'NaNO3',
    sugarFraction: mix.value.sugarFraction ?? 0,
    waterFraction: sumOf(found, part => part.massG * part.lot.waterFraction) / massG,
    agentKind: agents[0]!.lot.agentKind ?? 'own',
    allergens: [...new Set(found.flatMap(part => part.lot.allergens ?? []))],
    iodised: false,
    receivedAtMs: ctx.nowMs,
    receivedById: ctx.actor.id,
  })
  await tables.mixParts.insertMany(
    found.map(part => ({
      mixLotId,
      ingredientLotId: part.lot.id,
      role: part.role,
      massG: part.massG,
      typed: part.typed,
      scaleId: scale.id,
      atMs: ctx.nowMs,
      byId: ctx.actor.id,
    })),
  )
  recordEvent(ctx, {
    kind: 'mix_made',
    subjects: [mixCode, ...found.map(part => part.lot.code)],
    typed: input,
    computed: { mixLotId, massG, ppm, agent: mix.value },
  })
  return { ok: true, value: { code: mixCode } }
}
