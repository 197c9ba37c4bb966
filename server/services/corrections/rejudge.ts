import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import { RULE_SETS } from '#core/rules/us-rules'
import type { HoldReason } from '#shared/contracts/holds'
import { judgeLot } from '#shared/judging/judge-lot'
import type { WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { shopView, theShop } from '../office/office'
import { agentOf } from '../store/store-view'

/**
 * Judges a lot again from its weights as they now stand, and holds it if they ask for it. With `agentKnown` false it counts
 * as without nitrite, so that its cooling is judged by the stricter rule.
 */
export async function rejudge(ctx: WriteContext, lotId: number, agentKnown = true): Promise<void> {
  const lot = (await ctx.tables.lots.one({ id: lotId }))!
  const [pieces, parts, shop, row] = await Promise.all([
    ctx.tables.pieces.find({ lotId }, { order: [['number', 'ASC']] }), ctx.tables.lotIngredients.find({ lotId }),
    shopView(ctx.tables), theShop(ctx.tables),
  ])
  const agentPart = parts.find(part => part.role === 'agent')
  const agentLot = agentPart && await ctx.tables.ingredientLots.one({ id: agentPart.ingredientLotId })
  const judgement = judgeLot({
    rules: RULE_SETS[row.ruleSetId]!, cut: lot.cut, rind: lot.rind, confirmed: shop.confirmed,
    pieces: pieces.map(piece => ({ massG: piece.greenG, readings: piece.readings === 2 ? 2 : 1 })),
    meatReadabilityG: lot.meatReadabilityG, mixReadabilityG: lot.mixReadabilityG, agent: agentKnown && agentLot ? agentOf(agentLot) : null,
    agentG: agentPart?.weighedG ?? 0, mixG: parts.reduce((sum, part) => sum + part.weighedG, 0),
  })!
  await ctx.tables.lots.update(lotId, { judgement })
  if (holdsLot(judgement.status) || forbidsRubbing(judgement.status)) {
    await holdLot(ctx, lot, { reason: judgement.status as HoldReason, again: true, figures: { ppm: judgement.lot?.ppm } })
  }
}
