import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import { judgeSalt, type SaltVerdict } from '#core/cure/salt-weighed'
import { foldStanding } from '#core/life/fold-standing'
import { lotStayed } from '#core/life/lot-stayed'
import { stepsOfParts } from '#core/life/steps-of-parts'
import type { Step, StepKind } from '#core/life/step'
import { sumOf } from '#core/lists/sum-of'
import { nitriteShare } from '#core/cure/agent'
import { meaningOf } from '#core/cure/cure-method'
import { worstCaseG } from '#core/cure/ppm-interval'
import type { HoldReason } from '#shared/contracts/holds'
import type { Judgement, StayedJudged } from '#shared/contracts/judgement'
import type { WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { judgeHeated } from '../smoke/judge-heated'
import { standingSteps } from '../life/standing-steps'
import { judgeFacts } from './judge-facts'
import { lotFacts, type LotFacts, type Part } from './lot-facts'
import { stillToCome } from './still-to-come'

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
  const judged = await judgeFacts(ctx, facts, { agentKnown })
  const judgement = { ...judged, stayed: judged.lot ? await stayedOf(ctx, facts) : null }
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

/** When a part went on: by its step, where it has one. */
const putAtMs = ({ lot }: LotFacts, { stepId, application, appliedAtMs }: Part, steps: readonly Step[]): number =>
  steps.find(step => step.id === stepId)?.fromMs ?? (application === 1 ? lot.rubbedAtMs : (appliedAtMs ?? lot.rubbedAtMs))

/** Ids of the pieces that a part went on; null: all. */
function putOn({ atoms }: LotFacts, { pieceIds, pieceNumbers }: Part): number[] | null {
  if (pieceIds !== null) return atoms.of(pieceIds)
  return pieceNumbers === null ? null : atoms.all.filter(atom => pieceNumbers.includes(atom.number)).map(atom => atom.id)
}

/** Null without nitrite. What flavours after the cure counts for nothing here. */
async function stayedOf(ctx: WriteContext, facts: LotFacts, known?: readonly Step[]): Promise<StayedJudged | null> {
  const { lot, pieces, atoms, agentBy, saltShare } = facts
  const parts = facts.parts.filter(part => part.usedFor === null)
  if (!parts.some(part => part.role === 'agent' && agentBy(part.ingredientLotId))) return null
  const { pieces: ingoing } = await judgeFacts(ctx, { ...facts, parts }, { applied: true })
  const steps = known ?? (await standingSteps(ctx.tables, [lot.id])).get(lot.id) ?? []
  const judged = new Map(pieces.map((piece, i) => [piece.id, { ...piece, lowPpm: ingoing[i]!.lowPpm }]))
  const stayed = lotStayed({
    method: lot.method,
    cut: lot.cut,
    sides: lot.sides,
    rubbedAtMs: lot.rubbedAtMs,
    waterG: lot.waterG ?? 0,
    thicknessMm: lot.thicknessMm,
    // What lay on one face alone came in from there.
    oneFace: lot.sides !== null && (lot.sides.flesh === 0 || lot.sides.fat === 0),
    upperBound: meaningOf(lot.method, lot.afterG !== null) === 'upper_bound',
    mixReadabilityG: lot.mixReadabilityG,
    steps: stepsOfParts(foldStanding(steps).sound, atoms.of),
    pieces: atoms.all.map(({ id, greenG }) => {
      // Until something went on it alone, a part has what it was cut from; that is as far off as all of it.
      const { readings, lowPpm } = (judged.get(id) ?? judged.get(atoms.rootOf(id)))!
      return { pieceId: id, greenG, greenOffG: worstCaseG({ readabilityG: lot.meatReadabilityG, readings }), lowPpm }
    }),
    puts: parts
      .filter(part => part.weighedG > 0 || part.unweighed)
      .map((part) => {
        const agent = part.role === 'agent' ? agentBy(part.ingredientLotId) : null
        return {
          atMs: putAtMs(facts, part, steps),
          massG: part.weighedG,
          saltShare: saltShare(part.ingredientLotId),
          nitriteShare: agent ? nitriteShare(agent) : 0,
          pieces: putOn(facts, part),
          unweighed: part.unweighed ?? false,
          ...(part.readabilityG === null ? {} : { readabilityG: part.readabilityG }),
        }
      }),
  })
  return { ...stayed, pieces: stayed.pieces.filter(piece => atoms.isPiece(piece.pieceId)) }
}

/**
 * Salt as it now stands in a lot's weights, what went on after the rub counted; null for a cure without nitrite, and
 * while some is still to come.
 */
export function saltNow({ lot, parts, pieces, saltShare }: LotFacts): (SaltVerdict & { weighedG: number }) | null {
  const inCure = parts.filter(part => part.usedFor === null)
  const [plannedG, weighedG] = (['plannedG', 'weighedG'] as const).map(key =>
    sumOf(inCure, part => part[key] * saltShare(part.ingredientLotId)),
  ) as [number, number]
  const overG = sumOf(pieces, piece => piece.greenG) + (lot.method === 'wet_equilibrium' ? (lot.waterG ?? 0) : 0)
  if (lot.saltOnly || lot.method === 'salt_only' || !(plannedG > 0) || stillToCome(lot, parts)) return null
  return { ...judgeSalt({ method: lot.method, plannedG, weighedG, plannedShare: plannedG / overG }), weighedG }
}

/** Outside what a measured cure can have it holds the lot. */
export async function holdForSalt(ctx: WriteContext, facts: LotFacts): Promise<void> {
  const found = saltNow(facts)
  if (found?.status === 'slip')
    await holdLot(ctx, facts.lot, {
      reason: 'salt_outside',
      facts: `${found.weighedG} g`,
      figures: { share: found.share },
    })
}
