import { HEAT_FROM_C } from '#core/rules/house'
import { isLate, isNotShown } from '#core/cooling/cooling'
import type { HeatsJudged } from '#core/smoke/heats'
import type { WriteContext } from '../context'
import { holdLot, type HoldCause } from '../holds/holds'
import { judgeLotHeats } from './heat-groups'
import { runLine } from './run-readings'

/** The lots whose pieces are in a run. */
export async function lotsOfRun(ctx: Pick<WriteContext, 'tables'>, runId: number) {
  const inRun = await ctx.tables.runPieces.find({ runId })
  const pieces = await ctx.tables.pieces.find({ id: inRun.map(row => row.pieceId) }, { order: [['number', 'ASC']] })
  const lots = await ctx.tables.lots.find(
    { id: [...new Set(pieces.map(piece => piece.lotId))] },
    { order: [['id', 'ASC']] },
  )
  return { pieces, lots }
}

/** The holds that a group's heats ask for, each with the heat it is about: a decision on one covers no other. */
function causesOf({ comeUps, coolings, lukewarm, cold, coldThenHotMs }: HeatsJudged): HoldCause[] {
  return [
    ...comeUps.flatMap(({ code, status, elapsedMs, startMs }): HoldCause[] =>
      status === 'late'
        ? [{ reason: 'come_up_late', facts: code, figures: { elapsedMs } }]
        : status === 'not_shown'
          ? [{ reason: 'come_up_not_shown', facts: code, figures: { elapsedMs, startMs } }]
          : [],
    ),
    ...coolings.flatMap(({ code, status, rule }): HoldCause[] =>
      isLate(status)
        ? [{ reason: 'cooling_late', facts: `${code} ${status}`, figures: { status, rule: rule.id } }]
        : isNotShown(status)
          ? [{ reason: 'cooling_not_shown', facts: `${code} ${status}`, figures: { status, rule: rule.id } }]
          : [],
    ),
    ...lukewarm.map(({ code, ms }): HoldCause => ({
      reason: 'lukewarm_long',
      facts: code,
      figures: { elapsedMs: ms },
    })),
    ...(cold.status === 'hold'
      ? [{ reason: 'cold_smoke_long' as const, facts: 'cold', figures: { above: cold.above } }]
      : []),
    ...(coldThenHotMs === null
      ? []
      : [{ reason: 'cold_then_hot' as const, facts: 'cold then hot', figures: { elapsedMs: coldThenHotMs } }]),
  ]
}

/** What a cause is about begins with its heat's code: S-1000 is not S-10000. */
const isOfRun = ({ facts }: HoldCause, code: string): boolean => facts?.split(' ')[0] === code

/**
 * Come-up, target and cooling of every lot in a run, or of one of them, over all its heats and by its own nitrite; places
 * the holds they ask for. The lots must be locked. `again`: readings of this run were set right.
 */
export async function checkRun(
  ctx: WriteContext,
  runId: number,
  { again = false, lotId = null }: { again?: boolean; lotId?: number | null } = {},
): Promise<void> {
  const run = await ctx.tables.runs.the({ id: runId })
  const { figures } = await runLine(ctx.tables, run)
  const { lots, pieces } = await lotsOfRun(ctx, runId)
  const hottestC = figures.hottestC ?? Number.NEGATIVE_INFINITY
  // A smoke that aimed for no heat misses none.
  const missed = run.pulledAtMs !== null && run.targetCoreC > HEAT_FROM_C && hottestC < run.targetCoreC
  for (const lot of lots.filter(one => lotId === null || one.id === lotId)) {
    if (missed)
      await holdLot(ctx, lot, {
        reason: 'target_not_reached',
        facts: run.code,
        figures: { hottestC, targetCoreC: run.targetCoreC },
        pieceIds: pieces.filter(piece => piece.lotId === lot.id).map(piece => piece.id),
        again,
      })
    for (const { pieceIds, judged } of await judgeLotHeats(ctx.tables, lot, ctx.nowMs)) {
      for (const cause of causesOf(judged)) {
        // Readings that were set right are other facts; those of another heat are as they were.
        await holdLot(ctx, lot, { ...cause, pieceIds, again: again && isOfRun(cause, run.code) })
      }
    }
  }
}
