import { coolingOf, needsCooling } from '#core/cooling/after-pull'
import { coolingRuleFor } from '#core/cooling/cooling'
import { comeUp } from '#core/smoke/come-up'
import type { WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { coreReadings } from './core-readings'

/** The lots whose pieces are in a run. */
export async function lotsOfRun(ctx: Pick<WriteContext, 'tables'>, runId: number) {
  const inRun = await ctx.tables.runPieces.find({ runId })
  const pieces = await ctx.tables.pieces.find({ id: inRun.map(row => row.pieceId) }, { order: [['number', 'ASC']] })
  const lots = await ctx.tables.lots.find({ id: [...new Set(pieces.map(piece => piece.lotId))] }, { order: [['id', 'ASC']] })
  return { pieces, lots }
}

/** Come-up, target and cooling of every lot in a run, by that lot's own nitrite; places the holds they ask for. */
export async function checkRun(ctx: WriteContext, runId: number, again = false): Promise<void> {
  const run = (await ctx.tables.runs.one({ id: runId }))!
  const { smoke, cool } = coreReadings(await ctx.tables.runReadings.find({ runId }, { order: [['atMs', 'ASC']] }))
  const { lots } = await lotsOfRun(ctx, runId)
  const hottestC = Math.max(...smoke.map(reading => reading.coreC))
  for (const lot of lots) {
    const rise = comeUp(smoke, lot.saltOnly)
    if (rise.status === 'late') await holdLot(ctx, lot, { reason: 'come_up_late', figures: { elapsedMs: rise.elapsedMs }, again })
    if (run.pulledAtMs === null) continue
    if (hottestC < run.targetCoreC) await holdLot(ctx, lot, { reason: 'target_not_reached', figures: { hottestC, targetCoreC: run.targetCoreC }, again })
    if (!needsCooling(smoke)) continue
    const cooling = coolingOf({ smoke, cool, pulledAtMs: run.pulledAtMs }, coolingRuleFor(lot.judgement.lot?.lowPpm ?? null))
    if (cooling.status === 'late_first' || cooling.status === 'late_second') {
      await holdLot(ctx, lot, { reason: 'cooling_late', figures: { status: cooling.status, rule: cooling.rule.id }, again })
    }
  }
}
