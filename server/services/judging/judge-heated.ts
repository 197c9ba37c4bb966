import type { WriteContext } from '../context'
import { checkRun } from './check-run'

/**
 * The heats that a lot's pieces were in are judged again for it: what they are judged by has changed. The lot must be
 * locked; other lots in them are as they were.
 */
export async function judgeHeated(ctx: WriteContext, lotId: number): Promise<void> {
  const pieces = await ctx.tables.pieces.pick([], { lotId })
  const inRuns = await ctx.tables.runPieces.pick(['runId'], { pieceId: pieces.map(piece => piece.id) })
  for (const runId of new Set(inRuns.map(row => row.runId))) await checkRun(ctx, runId, { lotId })
}
