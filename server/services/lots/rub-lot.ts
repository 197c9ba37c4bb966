import { localDay } from '#core/calendar/local-day'
import { formulate } from '#core/cure/formulate'
import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import { RULE_SETS } from '#core/rules/us-rules'
import type { HoldReason } from '#shared/contracts/holds'
import type { Judgement } from '#shared/contracts/judgement'
import type { RubInput } from '#shared/contracts/lots'
import { judgeLot } from '#shared/judging/judge-lot'
import { nextCode } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { shopView, theShop } from '../office/office'
import { agentOf } from '../store/store-view'
import { findIngredients, findMeat, type IngredientPart } from './rub-parts'

/** Under this there is neither salt nor nitrite enough: not a cure. */
const LEAST_SALT_ONLY = 0.018

const massOf = (parts: readonly IngredientPart[], role: IngredientPart['role']): number =>
  parts.find(part => part.role === role)?.weighedG ?? 0

function refuseVerdict(judgement: Judgement) {
  const { lot, row, advice, status } = judgement
  return refuse(`rub_${status}`, {
    ppm: lot!.ppm, highPpm: lot!.highPpm, maxPpm: row.maxPpm, source: row.source,
    takeOffG: advice.takeOffAgentG ?? 0, addMeatG: advice.addMeatG ?? 0,
  }, ['agent', 'weighed'])
}

/**
 * Rubs a lot: gives it a code and day 0, and keeps the verdict on what was really weighed as its snapshot.
 * Above the legal maximum, or when the weighing cannot show that it is not above, nothing is rubbed.
 * Below the floor it is rubbed and held.
 */
export async function rubLot(ctx: WriteContext, input: RubInput): Promise<Answer<{ code: string }>> {
  const { tables } = ctx
  const shop = await theShop(tables)
  const meat = await findMeat(tables, input)
  if (!meat.ok) return meat
  const parts = await findIngredients(tables, input)
  if (!parts.ok) return parts
  const scales = await tables.instruments.find({ id: [input.meatScaleId, input.mixScaleId], kind: 'scale' })
  const meatScale = scales.find(scale => scale.id === input.meatScaleId)
  const mixScale = scales.find(scale => scale.id === input.mixScaleId)
  const fridge = await tables.fridges.one({ id: input.fridgeId })
  if (!meatScale) return refuse('no_such_scale', {}, ['meatScaleId'])
  if (!mixScale) return refuse('no_such_scale', {}, ['mixScaleId'])
  if (!fridge) return refuse('no_such_fridge', {}, ['fridgeId'])

  const agentPart = parts.value.find(part => part.role === 'agent')
  const agent = agentPart ? agentOf(agentPart.lot) : null
  const rules = RULE_SETS[shop.ruleSetId]!
  if (agent && agent.nitrateFraction > 0 && !rules.nitrateAllowed) return refuse('nitrate_refused', { code: agentPart!.lot.code }, ['agent', 'lotCode'])
  const greenG = input.pieces.reduce((sum, piece) => sum + piece.weight.netG, 0)
  const plan = formulate(greenG, agent, input.targets, mixScale.readability)
  if (!plan.ok) return refuse(plan.code, plan.params, ['targets', 'saltShare'])
  if (input.saltOnly && massOf(parts.value, 'salt') / greenG < LEAST_SALT_ONLY) {
    return refuse('salt_only_too_weak', { leastG: LEAST_SALT_ONLY * greenG }, ['salt', 'weighed'])
  }
  const judgement = judgeLot({
    rules, cut: input.cut, rind: input.rind, confirmed: (await shopView(tables)).confirmed, agent,
    pieces: input.pieces.map(piece => ({ massG: piece.weight.netG, readings: piece.weight.readings })),
    meatReadabilityG: meatScale.readability, mixReadabilityG: mixScale.readability,
    agentG: massOf(parts.value, 'agent'), mixG: parts.value.reduce((sum, part) => sum + part.weighedG, 0),
  })
  if (!judgement) return refuse('no_rule', { cut: input.cut }, ['cut'])
  if (forbidsRubbing(judgement.status)) return refuseVerdict(judgement)

  const code = await nextCode(tables, 'lot')
  const lotId = await tables.lots.insert({
    code, cut: input.cut, rind: input.rind, saltOnly: input.saltOnly, fridgeId: fridge.id,
    rubbedAtMs: ctx.nowMs, rubbedOn: localDay(ctx.nowMs, shop.zone), zone: shop.zone, rubbedById: ctx.actor.id,
    thicknessMm: input.thicknessMm, readyFromDay: input.readyFromDay, bestByDay: input.bestByDay,
    turnEveryDays: shop.turnEveryDays, turnBy: shop.turnBy,
    meatReadabilityG: meatScale.readability, mixReadabilityG: mixScale.readability, meatScaleId: meatScale.id, mixScaleId: mixScale.id, targets: input.targets, judgement, note: input.note || null,
  })
  await tables.pieces.insertMany(input.pieces.map((piece, i) => ({
    lotId, number: i + 1, meatLotId: meat.value.get(piece.meatCode)!.id, meatPieceId: piece.meatPieceId,
    greenG: piece.weight.netG, greenTyped: piece.weight.typed, readings: piece.weight.readings,
  })))
  const planned = { agent: plan.value.agentG, salt: plan.value.saltG, sugar: plan.value.sugarG }
  await tables.lotIngredients.insertMany(parts.value.map(part => ({
    lotId, ingredientLotId: part.lot.id, role: part.role, plannedG: planned[part.role],
    weighedG: part.weighedG, weighedTyped: part.weighedTyped,
  })))
  recordEvent(ctx, {
    kind: 'lot_rubbed', subjects: [code, ...meat.value.keys(), ...parts.value.map(part => part.lot.code)],
    typed: input, computed: { plan: plan.value, judgement, lotId },
  })
  if (holdsLot(judgement.status)) {
    await holdLot(ctx, { id: lotId, code }, { reason: judgement.status as HoldReason, figures: { ppm: judgement.lot?.ppm, lowPpm: judgement.lot?.lowPpm } })
  }
  return { ok: true, value: { code } }
}
