import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import type { Judgement } from '#shared/contracts/judgement'
import type { MixRole } from '#shared/contracts/store'
import { judgeLot } from '#shared/judging/judge-lot'
import { lotQuestion, toComeAfter, type ToCome } from '#shared/judging/lot-question'
import { judgeSalt } from '#core/cure/salt-weighed'
import type { RowOf } from '../../db/table-spec'
import type { lotIngredients, lots } from '../../db/tables/lots'
import type { WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { shopView } from '../office/office'
import { ruleSetById, rulesInForce } from '../rules/rule-sets'
import { agentOf } from '../store/ingredient-views'
import { waitingForSecond } from './second-due'

/** The plan of both applications, from the first's share of it. */
function wholePlan(lot: RowOf<typeof lots>, parts: readonly RowOf<typeof lotIngredients>[]): ToCome {
  const of = (role: MixRole) =>
    parts.filter(part => part.role === role).reduce((sum, part) => sum + part.plannedG, 0) / lot.firstShare!
  return { agentG: of('agent'), saltG: of('salt'), sugarG: of('sugar') }
}

/**
 * The verdict on a lot from its weights as they now stand, by the rule set it was rubbed under. With `agentKnown` false
 * it counts as without nitrite, so that its cooling is judged by the stricter rule.
 */
export async function judgementNow(ctx: WriteContext, lotId: number, agentKnown = true): Promise<Judgement> {
  const lot = (await ctx.tables.lots.one({ id: lotId }))!
  const [pieces, parts, shop] = await Promise.all([
    ctx.tables.pieces.find({ lotId }, { order: [['number', 'ASC']] }),
    ctx.tables.lotIngredients.find({ lotId }),
    shopView(ctx.tables),
  ])
  const agentPart = parts.find(part => part.role === 'agent')
  const agentLot = agentPart && (await ctx.tables.ingredientLots.one({ id: agentPart.ingredientLotId }))
  return judgeLot(
    lotQuestion({
      rules: (await ruleSetById(ctx.tables, lot.judgement.ruleSetId)) ?? (await rulesInForce(ctx.tables)),
      cut: lot.cut,
      rind: lot.rind,
      method: lot.method,
      choiceId: lot.choiceId,
      house: lot.judgement.house ?? shop.house,
      confirmed: shop.ruleSetId === lot.judgement.ruleSetId ? shop.confirmed : lot.judgement.confirmed,
      pieces: pieces.map(piece => ({ massG: piece.greenG, readings: piece.readings === 2 ? 2 : 1 })),
      meatReadabilityG: lot.meatReadabilityG,
      mixReadabilityG: lot.mixReadabilityG,
      agent: agentKnown && agentLot ? agentOf(agentLot) : null,
      applied: parts.map(part => ({ role: part.role, massG: part.weighedG, shared: part.pieceNumbers === null })),
      // A second application that is still to come counts as planned.
      toCome: waitingForSecond(lot, parts) ? toComeAfter(wholePlan(lot, parts), lot.firstShare!) : null,
      weighedBackG: lot.weighedBackG ?? 0,
      waterG: lot.waterG ?? 0,
      afterG: lot.afterG,
      ...(lot.mostPickUp ? { mostPickUp: lot.mostPickUp } : {}),
    }),
  )!
}

/** Judges a lot again, and holds it if its weights ask for it. */
export async function rejudge(ctx: WriteContext, lotId: number, agentKnown = true): Promise<Judgement> {
  const judgement = await judgementNow(ctx, lotId, agentKnown)
  const lot = (await ctx.tables.lots.one({ id: lotId }))!
  await ctx.tables.lots.update(lotId, { judgement })
  if (holdsLot(judgement.status) || forbidsRubbing(judgement.status)) {
    await holdLot(ctx, lot, {
      reason: judgement.status,
      again: true,
      figures: { ppm: judgement.lot?.ppm },
    })
  }
  await holdForSalt(ctx, lot)
  return judgement
}

/** Salt as it now stands in the lot's weights: outside what a measured cure can have it holds the lot. */
async function holdForSalt(ctx: WriteContext, lot: RowOf<typeof lots>): Promise<void> {
  const [parts, pieces] = await Promise.all([
    ctx.tables.lotIngredients.find({ lotId: lot.id }),
    ctx.tables.pieces.find({ lotId: lot.id }),
  ])
  const used = await ctx.tables.ingredientLots.find(
    { id: parts.map(part => part.ingredientLotId) },
    { withVoided: true },
  )
  const fractionOf = (id: number) => used.find(one => one.id === id)?.saltFraction ?? 0
  const [plannedG, weighedG] = (['plannedG', 'weighedG'] as const).map(key =>
    parts.reduce((sum, part) => sum + part[key] * fractionOf(part.ingredientLotId), 0),
  ) as [number, number]
  const overG
    = pieces.reduce((sum, piece) => sum + piece.greenG, 0) + (lot.method === 'wet_equilibrium' ? (lot.waterG ?? 0) : 0)
  if (lot.method === 'salt_only' || !(plannedG > 0) || waitingForSecond(lot, parts)) return
  const found = judgeSalt({ method: lot.method, plannedG, weighedG, plannedShare: plannedG / overG })
  if (found.status === 'slip')
    await holdLot(ctx, lot, { reason: 'salt_outside', facts: `${weighedG} g`, figures: { share: found.share } })
}
