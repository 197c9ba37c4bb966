import type { CuringAgent } from '#core/cure/agent'
import { isWet } from '#core/cure/cure-method'
import type { PutWeighed } from '#core/cure/cure-weighed'
import { groupBy } from '#core/lists/group-by'
import { sumOf } from '#core/lists/sum-of'
import type { Judgement } from '#shared/contracts/judgement'
import { judgeLot } from '#shared/judging/judge-lot'
import { lotQuestion } from '#shared/judging/lot-question'
import type { Tables } from '../../db/database'
import type { WriteContext } from '../context'
import { shopView } from '../shop/shop-facts'
import { ruleSetById, rulesInForce } from '../rules/rule-sets'
import { lotFacts, type JudgingFacts, type Part } from './lot-facts'
import { isRubbed, stillToCome } from '#shared/judging/still-to-come'

/** Places in the lot's list of the pieces that something went on; null: all. */
function placesOf({ pieces, leaves }: JudgingFacts, { pieceIds }: Part): number[] | null {
  if (pieceIds === null) return null
  // Judged by parts, what went on a piece before it was cut up went on all of them.
  const on = new Set([...pieceIds, ...leaves.of(pieceIds)])
  const places = pieces.flatMap((piece, i) => (on.has(piece.id) ? [i] : []))
  return places.length === pieces.length ? null : places
}

/** What went on after the rub, put by put: each curing salt with all that was shared out with it. */
function addsOf(facts: JudgingFacts): PutWeighed[] {
  const later = facts.parts.filter(part => !isRubbed(part) && !(part.usedFor !== null && isWet(facts.lot.method)))
  return [...groupBy(later, part => part.stepId ?? -part.application).values()].flatMap((put) => {
    const agents = put.filter(part => part.role === 'agent' && !part.unweighed)
    const mixG = sumOf(put, part => part.weighedG)
    const common = { mixG, pieces: placesOf(facts, put[0]!), readabilityG: put[0]!.readabilityG ?? facts.lot.mixReadabilityG }
    const named = agents.flatMap(part => ({ part, agent: facts.agentBy(part.ingredientLotId) }))
    const known = named.flatMap(({ part, agent }) => (agent ? [{ part, agent }] : []))
    if (known.length > 0)
      return known.map(({ part, agent }) => ({ ...common, agent, agentG: part.weighedG, agentReadings: 1 }))
    // A part without nitrite only counts among what was mixed and shaken off, or lay in the brine; flavour came after
    // both.
    return facts.agent && put[0]!.usedFor === null ? [{ ...common, agent: facts.agent, agentG: 0, agentReadings: 0 }] : []
  })
}

/**
 * Places of pieces on which nitrite went that nobody weighed; after a brine nobody can say what of it the meat had.
 */
const unweighedOf = (facts: JudgingFacts): number[] => [
  ...new Set(
    facts.parts
      .filter(part => part.role === 'agent' && (part.unweighed || (part.usedFor !== null && isWet(facts.lot.method))))
      .flatMap(part => placesOf(facts, part) ?? facts.pieces.map((_, i) => i)),
  ),
]

/** What the cure was made with; a lot rubbed without nitrite may have got some later. */
const agentFor = (facts: JudgingFacts): CuringAgent | null => {
  if (facts.agent) return facts.agent
  const later = facts.lot.saltOnly ? facts.parts.find(part => part.role === 'agent') : undefined
  return later ? facts.agentBy(later.ingredientLotId) : null
}

/**
 * The verdict on a lot from its weights as they now stand, by the rule set it was rubbed under. With `agentKnown` false
 * it counts as without nitrite, so that its cooling is judged by the stricter rule. `applied`: what is still to come
 * does not count.
 */
export async function judgeFacts(
  tables: Tables,
  facts: JudgingFacts,
  { agentKnown = true, applied = false } = {},
): Promise<Judgement> {
  const { lot, pieces, parts } = facts
  const shop = await shopView(tables)
  const judgement = judgeLot(
    lotQuestion({
      rules: (await ruleSetById(tables, lot.judgement.ruleSetId)) ?? (await rulesInForce(tables)),
      cut: lot.cut,
      rind: lot.rind,
      method: lot.method,
      choiceId: lot.choiceId,
      house: lot.judgement.house ?? shop.house,
      confirmed: shop.ruleSetId === lot.judgement.ruleSetId ? shop.confirmed : lot.judgement.confirmed,
      pieces: pieces.map(piece => ({ massG: piece.greenG, readings: piece.readings === 2 ? 2 : 1 })),
      meatReadabilityG: lot.meatReadabilityG,
      mixReadabilityG: lot.mixReadabilityG,
      agent: agentKnown ? agentFor(facts) : null,
      applied: parts
        .filter(isRubbed)
        .map(part => ({ role: part.role, massG: part.weighedG, shared: part.pieceNumbers === null })),
      toCome: applied ? null : stillToCome(lot, parts),
      adds: addsOf(facts),
      unweighed: unweighedOf(facts),
      weighedBackG: lot.weighedBackG ?? 0,
      waterG: lot.waterG ?? 0,
      afterG: lot.afterG,
      ...(lot.mostPickUp ? { mostPickUp: lot.mostPickUp } : {}),
    }),
  )!
  return judgement.decides ? { ...judgement, decides: judgement.decides.map(nth => labelOf(facts, Number(nth))) } : judgement
}

/** The nth of what was judged, counted from 1; what came off a piece goes by its name. */
function labelOf({ pieces, leaves }: JudgingFacts, nth: number): number | string {
  const { id, number } = pieces[nth - 1]!
  return leaves.labelOf(id) ?? number
}

/** What would be judged of a lot now; nothing is kept. */
export const judgementNow = async (ctx: WriteContext, lotId: number): Promise<Judgement> =>
  judgeFacts(ctx.tables, await lotFacts(ctx.tables, lotId))
