import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import { foldStanding } from '#core/life/fold-standing'
import { lotStayed } from '#core/life/lot-stayed'
import type { Step, StepKind } from '#core/life/step'
import { sumOf } from '#core/lists/sum-of'
import { worstCaseG } from '#core/cure/ppm-interval'
import type { Judgement, StayedJudged } from '#shared/contracts/judgement'
import type { MixRole } from '#shared/contracts/store'
import { judgeLot } from '#shared/judging/judge-lot'
import { lotQuestion, toComeAfter, type ToCome } from '#shared/judging/lot-question'
import { judgeSalt } from '#core/cure/salt-weighed'
import type { RowOf } from '../../db/table-spec'
import type { lotIngredients, lots } from '../../db/tables/lots'
import type { WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { shopView } from '../office/office'
import { judgeHeated } from '../smoke/judge-heated'
import { ruleSetById, rulesInForce } from '../rules/rule-sets'
import { standingSteps } from '../life/standing-steps'
import { lotFacts, type LotFacts } from './lot-facts'
import { waitingForSecond } from './second-due'

/** The plan of both applications, from the first's share of it. */
function wholePlan(lot: RowOf<typeof lots>, parts: readonly RowOf<typeof lotIngredients>[]): ToCome {
  const of = (role: MixRole) =>
    parts.filter(part => part.role === role).reduce((sum, part) => sum + part.plannedG, 0) / lot.firstShare!
  return { agentG: of('agent'), saltG: of('salt'), sugarG: of('sugar') }
}

/**
 * The verdict on a lot from its weights as they now stand, by the rule set it was rubbed under. With `agentKnown` false
 * it counts as without nitrite, so that its cooling is judged by the stricter rule. `applied`: what is still to come
 * does not count.
 */
async function judgeFacts(
  ctx: WriteContext,
  { lot, pieces, parts, agent }: LotFacts,
  { agentKnown = true, applied = false } = {},
): Promise<Judgement> {
  const shop = await shopView(ctx.tables)
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
      agent: agentKnown ? agent : null,
      applied: parts.map(part => ({ role: part.role, massG: part.weighedG, shared: part.pieceNumbers === null })),
      // A second application that is still to come counts as planned.
      toCome: !applied && waitingForSecond(lot, parts) ? toComeAfter(wholePlan(lot, parts), lot.firstShare!) : null,
      weighedBackG: lot.weighedBackG ?? 0,
      waterG: lot.waterG ?? 0,
      afterG: lot.afterG,
      ...(lot.mostPickUp ? { mostPickUp: lot.mostPickUp } : {}),
    }),
  )!
}

/** What would be judged of a lot now; nothing is kept. */
export const judgementNow = async (ctx: WriteContext, lotId: number): Promise<Judgement> =>
  judgeFacts(ctx, await lotFacts(ctx.tables, lotId))

/** Judges a lot again, with the least that stayed and the heats it was in, and holds it if its weights ask for it. */
export async function rejudge(ctx: WriteContext, lotId: number, agentKnown = true): Promise<Judgement> {
  const facts = await lotFacts(ctx.tables, lotId)
  const { lot } = facts
  const judged = await judgeFacts(ctx, facts, { agentKnown })
  const judgement = { ...judged, stayed: judged.lot ? await stayedOf(ctx, facts) : null }
  await ctx.tables.lots.update(lotId, { judgement })
  if (holdsLot(judgement.status) || forbidsRubbing(judgement.status)) {
    await holdLot(ctx, lot, {
      reason: judgement.status,
      again: true,
      figures: { ppm: judgement.lot?.ppm },
    })
  }
  await holdForSalt(ctx, facts)
  await judgeHeated(ctx, lotId)
  return judgement
}

/** Kinds of step by which less of the cure may have stayed, or more is shown to have; what begins ends a soak. */
export const MOVES_STAYED: ReadonlySet<StepKind> = new Set<StepKind>(['drain', 'add', 'weigh', 'soak', 'dry', 'rest'])

/**
 * Works out the least that stayed after something was told of the lot's liquid, or its meat was weighed, and keeps it
 * with the verdict, which stays as it is: what went in has not changed. The lot must be locked.
 */
export async function keepStayed(
  ctx: WriteContext,
  lotId: number,
  steps?: readonly Step[],
): Promise<StayedJudged | null> {
  const facts = await lotFacts(ctx.tables, lotId)
  // What nobody can name any more counts as no nitrite.
  const stayed = facts.lot.judgement.lot ? await stayedOf(ctx, facts, steps) : null
  await ctx.tables.lots.update(lotId, { judgement: { ...facts.lot.judgement, stayed } })
  return stayed
}

/** Null without nitrite. */
async function stayedOf(ctx: WriteContext, facts: LotFacts, known?: readonly Step[]): Promise<StayedJudged | null> {
  const { lot, pieces, parts, agent, saltShare } = facts
  if (!agent) return null
  const { pieces: ingoing, meaning } = await judgeFacts(ctx, facts, { applied: true })
  const steps = known ?? (await standingSteps(ctx.tables, [lot.id])).get(lot.id) ?? []
  return lotStayed({
    method: lot.method,
    cut: lot.cut,
    rubbedAtMs: lot.rubbedAtMs,
    waterG: lot.waterG ?? 0,
    upperBound: meaning === 'upper_bound',
    mixReadabilityG: lot.mixReadabilityG,
    steps: foldStanding(steps).sound,
    pieces: pieces.map((piece, i) => ({
      pieceId: piece.id,
      number: piece.number,
      greenG: piece.greenG,
      greenOffG: worstCaseG({ readabilityG: lot.meatReadabilityG, readings: piece.readings }),
      lowPpm: ingoing[i]!.lowPpm,
    })),
    puts: parts
      .filter(part => part.weighedG > 0)
      .map(part => ({
        atMs: part.application === 1 ? lot.rubbedAtMs : (part.appliedAtMs ?? lot.rubbedAtMs),
        massG: part.weighedG,
        saltG: part.weighedG * saltShare(part.ingredientLotId),
        isAgent: part.role === 'agent',
        pieceNumbers: part.pieceNumbers,
      })),
  })
}

/** Salt as it now stands in the lot's weights: outside what a measured cure can have it holds the lot. */
async function holdForSalt(ctx: WriteContext, { lot, parts, pieces, saltShare }: LotFacts): Promise<void> {
  const [plannedG, weighedG] = (['plannedG', 'weighedG'] as const).map(key =>
    sumOf(parts, part => part[key] * saltShare(part.ingredientLotId)),
  ) as [number, number]
  const overG = sumOf(pieces, piece => piece.greenG) + (lot.method === 'wet_equilibrium' ? (lot.waterG ?? 0) : 0)
  if (lot.method === 'salt_only' || !(plannedG > 0) || waitingForSecond(lot, parts)) return
  const found = judgeSalt({ method: lot.method, plannedG, weighedG, plannedShare: plannedG / overG })
  if (found.status === 'slip')
    await holdLot(ctx, lot, { reason: 'salt_outside', facts: `${weighedG} g`, figures: { share: found.share } })
}
