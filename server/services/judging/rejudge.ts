import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import { judgeSalt, type SaltVerdict } from '#core/rules/salt-weighed'
import type { Step } from '#core/life/step'
import { sumOf } from '#core/lists/sum-of'
import type { HoldReason } from '#shared/contracts/holds'
import type { Judgement, StayedJudged } from '#shared/contracts/judgement'
import type { WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { judgeHeated } from './judge-heated'
import { judgeFacts } from './judge-facts'
import { lotFacts, type JudgingFacts } from './lot-facts'
import { stayedOf } from './stayed-of'
import { stillToCome } from '#shared/judging/still-to-come'

/**
 * Judges a lot again, with the least that stayed and the heats it was in, and holds it if its weights ask for it.
 * `agentKnown`: false while nobody can say which curing salt went on. `again`: the facts were changed, and what was decided
 * on them stands no more; false where they are the same and the rules are newer.
 */
export async function rejudge(
  ctx: WriteContext,
  lotId: number,
  { agentKnown = true, again = true }: { agentKnown?: boolean; again?: boolean } = {},
): Promise<Judgement> {
  const facts = await lotFacts(ctx.tables, lotId)
  const { lot } = facts
  const judged = await judgeFacts(ctx.tables, facts, { agentKnown })
  const judgement = { ...judged, stayed: judged.lot ? await stayedOf(ctx.tables, facts) : null }
  await ctx.tables.lots.update(lotId, { judgement })
  if (holdsLot(judgement.status) || forbidsRubbing(judgement.status)) {
    await holdLot(ctx, lot, {
      reason: judgement.status,
      again,
      figures: { ppm: judgement.lot?.ppm },
    })
  }
  await holdForSalt(ctx, facts)
  await markFollowing(ctx, lotId, [judgement.status, ...(saltNow(facts)?.status === 'slip' ? (['salt_outside'] as const) : [])])
  // What old rows do not say stops nothing that was right: heats are not judged anew by liquid that nobody was asked about.
  if (again || judgement.stayed?.why !== 'not_seen') await judgeHeated(ctx, lotId)
  return judgement
}

/** Holds that rest on what went on. */
const ON_WEIGHTS: HoldReason[] = ['above_limit', 'limit_not_shown', 'below_floor', 'floor_not_shown', 'outside_house', 'salt_outside']
/** Says of open holds whose reason follows no more by which record that came about: nothing but the owner lifts one. */
async function markFollowing(ctx: WriteContext, lotId: number, follows: readonly string[]): Promise<void> {
  const open = await ctx.tables.holds.find({ lotId, reason: ON_WEIGHTS, disposition: null })
  const back = open.filter(hold => follows.includes(hold.reason) && hold.changedEventId !== null).map(hold => hold.id)
  const gone = open.filter(hold => !follows.includes(hold.reason) && hold.changedEventId === null).map(hold => hold.id)
  if (back.length) await ctx.tables.holds.update(back, { changedEventId: null })
  if (gone.length) ctx.changedHolds = [...(ctx.changedHolds ?? []), ...gone]
}

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
  const stayed = facts.lot.judgement.lot ? await stayedOf(ctx.tables, facts, steps) : null
  await ctx.tables.lots.update(lotId, { judgement: { ...facts.lot.judgement, stayed } })
  return stayed
}

/**
 * Salt as it now stands in a lot's weights, what went on after the rub counted; null for a cure without nitrite, and
 * while some is still to come.
 */
export function saltNow({ lot, parts, pieces, saltShare }: JudgingFacts): (SaltVerdict & { weighedG: number }) | null {
  const inCure = parts.filter(part => part.usedFor === null)
  const [plannedG, weighedG] = (['plannedG', 'weighedG'] as const).map(key =>
    sumOf(inCure, part => part[key] * saltShare(part.ingredientLotId)),
  ) as [number, number]
  const overG = sumOf(pieces, piece => piece.greenG) + (lot.method === 'wet_equilibrium' ? (lot.waterG ?? 0) : 0)
  if (lot.saltOnly || lot.method === 'salt_only' || !(plannedG > 0) || stillToCome(lot, parts)) return null
  return { ...judgeSalt({ method: lot.method, plannedG, weighedG, plannedShare: plannedG / overG }), weighedG }
}

/** Outside what a measured cure can have it holds the lot. */
export async function holdForSalt(ctx: WriteContext, facts: JudgingFacts): Promise<void> {
  const found = saltNow(facts)
  if (found?.status === 'slip')
    await holdLot(ctx, facts.lot, {
      reason: 'salt_outside',
      facts: `${found.weighedG} g`,
      figures: { share: found.share },
    })
}
