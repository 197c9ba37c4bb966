import { LEAST_SALT_ONLY_SHARE } from '#core/rules/house'
import { localDay } from '#core/calendar/local-day'
import { legalMethod } from '#core/cure/cure-method'
import { formulate, type Formulation } from '#core/cure/formulate'
import type { SeasoningWanted } from '#core/cure/seasoning'
import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import { limitsFor } from '#core/rules/limits'
import type { HoldReason } from '#shared/contracts/holds'
import type { RubInput } from '#shared/contracts/rub'
import { judgeLot } from '#shared/judging/judge-lot'
import { nextCode } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, refuseAt, type Answer, type WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { scaleOf } from '../instruments/read-with'
import { shopView, theShop } from '../office/office'
import { rulesInForce } from '../rules/rule-sets'
import { refuseSalt } from './refuse-salt'
import { refuseVerdict } from './refuse-verdict'
import { findIngredients, findMeat, massOf, type IngredientPart } from './rub-parts'
import { usableAgent } from './usable-agent'

const seasoningsOf = (input: RubInput, parts: readonly IngredientPart[]): SeasoningWanted[] =>
  parts.flatMap((part) => {
    const wanted = part.seasoning === null ? null : input.seasonings[part.seasoning]!
    if (!wanted) return []
    const { saltFraction, sugarFraction, waterFraction } = part.lot
    return [
      {
        key: part.lot.name,
        per: wanted.per,
        amount: wanted.amount,
        pieces: wanted.pieces?.map(number => number - 1) ?? null,
        composition: { saltFraction, sugarFraction, waterFraction },
      },
    ]
  })

const plannedG = (plan: Formulation, part: IngredientPart, share: number): number => {
  const whole = { agent: plan.agentG, salt: plan.saltG, sugar: plan.sugarG }
  return part.role === 'spice' ? plan.seasonings[part.seasoning!]!.massG : share * whole[part.role]
}

/**
 * Rubs a lot: gives it a code and day 0, and keeps the verdict on what was really weighed as its snapshot.
 * Above the legal maximum, or when the weighing cannot show that it is not above, nothing is rubbed.
 * Below the floor it is rubbed and held.
 */
export async function rubLot(ctx: WriteContext, input: RubInput): Promise<Answer<{ code: string }>> {
  const { tables } = ctx
  const shop = await theShop(tables)
  const today = localDay(ctx.nowMs, shop.zone)
  const meat = await findMeat(tables, input)
  if (!meat.ok) return meat
  const parts = await findIngredients(tables, input, today)
  if (!parts.ok) return parts
  const [meatScale, mixScale] = [
    await scaleOf(tables, input.meatScaleId),
    await scaleOf(tables, input.mixScaleId),
  ]
  const fridge = await tables.fridges.one({ id: input.fridgeId })
  if (!meatScale) return refuse('no_such_scale', {}, ['meatScaleId'])
  if (!mixScale) return refuse('no_such_scale', {}, ['mixScaleId'])
  if (!fridge) return refuse('no_such_fridge', {}, ['fridgeId'])
  if (input.recipeRevisionId !== null && !(await tables.recipeRevisions.one({ id: input.recipeRevisionId })))
    return refuse('no_such_recipe', {}, ['recipeRevisionId'])

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
  const greenG = input.pieces.reduce((sum, piece) => sum + piece.weight.netG, 0)
  const waterG = input.water?.netG ?? 0
  const plan = formulate({
    method: input.method,
    piecesG: input.pieces.map(piece => piece.weight.netG),
    agent: agent.value,
    targets: input.targets,
    readabilityG: mixScale.readability,
    fromAgentOnly: input.fromAgentOnly,
    sugarFraction: parts.value.find(part => part.role === 'sugar')?.lot.sugarFraction || 1,
    seasonings: seasoningsOf(input, parts.value),
    ...(waterG > 0 ? { waterShare: waterG / greenG } : {}),
    ...(input.mostPickUp ? { pickUp: input.mostPickUp } : {}),
  })
  if (!plan.ok) return refuseAt(['targets', 'saltShare'], plan)
  if (plan.value.saltG > 0 && input.salt === null)
    return refuse('salt_missing', { saltG: plan.value.saltG }, ['salt', 'weighed'])
  if (input.method === 'salt_only' && massOf(parts.value, 'salt') / greenG < LEAST_SALT_ONLY_SHARE) {
    return refuse('salt_only_too_weak', { leastG: LEAST_SALT_ONLY_SHARE * greenG, leastShare: LEAST_SALT_ONLY_SHARE }, ['salt', 'weighed'])
  }
  // Half now: the rest counts as planned until it is weighed.
  const firstShare = input.method === 'two_applications' ? input.firstShare! : 1
  const restAgentG = plan.value.agentG * (1 - firstShare)
  const judgement = judgeLot({
    rules,
    cut: input.cut,
    rind: input.rind,
    method: input.method,
    choiceId: input.choiceId,
    house: view.house,
    confirmed: view.confirmed,
    agent: agent.value,
    pieces: input.pieces.map(piece => ({ massG: piece.weight.netG, readings: piece.weight.readings })),
    meatReadabilityG: meatScale.readability,
    mixReadabilityG: mixScale.readability,
    agentG: massOf(parts.value, 'agent') + restAgentG,
    agentReadings: firstShare < 1 ? 2 : 1,
    mixG:
      parts.value
        .filter(part => part.seasoning === null || input.seasonings[part.seasoning]!.pieces === null)
        .reduce((sum, part) => sum + part.weighedG, 0)
        + plan.value.mixG * (1 - firstShare),
    weighedBackG: input.weighedBack?.netG ?? 0,
    waterG,
    ...(input.mostPickUp ? { mostPickUp: input.mostPickUp } : {}),
  })
  if (!judgement) return refuse('no_rule', { cut: input.cut }, ['cut'])
  if (forbidsRubbing(judgement.status)) return refuseVerdict(judgement.status, judgement)
  const salt = refuseSalt(input, parts.value, { plan: plan.value, agent: agent.value, share: firstShare })
  if (salt) return salt
  if (judgement.nitrate && judgement.nitrate.ppm > judgement.nitrate.maxPpm)
    return refuse('nitrate_above_limit', { ...judgement.nitrate, source: limits.nitrateSource }, ['agent', 'weighed'])
  if ((input.weighedBack?.netG ?? 0) >= parts.value.reduce((sum, part) => sum + part.weighedG, 0))
    return refuse('weighed_back_all', {}, ['weighedBack'])

  const card = input.cardCode === null ? null : await tables.benchCards.one({ code: input.cardCode }, { lock: true })
  if (card && card.lotId !== null) return refuse('card_used', { code: card.code })
  const code = await nextCode(tables, 'lot')
  const lotId = await tables.lots.insert({
    code,
    cut: input.cut,
    rind: input.rind,
    saltOnly: input.method === 'salt_only',
    fridgeId: fridge.id,
    rubbedAtMs: ctx.nowMs,
    rubbedOn: today,
    zone: shop.zone,
    rubbedById: ctx.actor.id,
    thicknessMm: input.thicknessMm,
    readyFromDay: input.readyFromDay,
    bestByDay: input.bestByDay,
    turnEveryDays: shop.turnEveryDays,
    turnBy: shop.turnBy,
    meatReadabilityG: meatScale.readability,
    mixReadabilityG: mixScale.readability,
    meatScaleId: meatScale.id,
    mixScaleId: mixScale.id,
    targets: input.targets,
    judgement,
    note: input.note || null,
    method: input.method,
    purpose: input.purpose,
    choiceId: input.choiceId,
    firstShare: firstShare < 1 ? firstShare : null,
    waterG: input.water?.netG ?? null,
    waterTyped: input.water?.typed ?? null,
    mostPickUp: input.mostPickUp,
    weighedBackG: input.weighedBack?.netG ?? null,
    weighedBackTyped: input.weighedBack?.typed ?? null,
    sides: input.sides,
    recipeRevisionId: input.recipeRevisionId,
  })
  await tables.pieces.insertMany(
    input.pieces.map((piece, i) => ({
      lotId,
      number: i + 1,
      meatLotId: meat.value.get(piece.meatCode)!.id,
      meatPieceId: piece.meatPieceId,
      greenG: piece.weight.netG,
      greenTyped: piece.weight.typed,
      readings: piece.weight.readings,
      bag: piece.bag,
    })),
  )
  await tables.lotIngredients.insertMany(
    parts.value.map((part) => {
      const wanted = part.seasoning === null ? null : input.seasonings[part.seasoning]!
      return {
        lotId,
        ingredientLotId: part.lot.id,
        role: part.role,
        plannedG: plannedG(plan.value, part, firstShare),
        weighedG: part.weighedG,
        weighedTyped: part.weighedTyped,
        application: 1,
        per: wanted?.per ?? null,
        amount: wanted?.amount ?? null,
        pieceNumbers: wanted?.pieces ?? null,
      }
    }),
  )
  if (card) await tables.benchCards.update(card.id, { lotId })
  recordEvent(ctx, {
    kind: 'lot_rubbed',
    subjects: [code, ...meat.value.keys(), ...new Set(parts.value.map(part => part.lot.code))],
    typed: input,
    computed: { plan: plan.value, judgement, lotId },
  })
  if (holdsLot(judgement.status)) {
    await holdLot(
      ctx,
      { id: lotId, code },
      { reason: judgement.status as HoldReason, figures: { ppm: judgement.lot?.ppm, lowPpm: judgement.lot?.lowPpm } },
    )
  }
  return { ok: true, value: { code } }
}
