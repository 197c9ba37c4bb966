import type { PieceTree } from '#core/life/parts'
import { groupBy } from '#core/lists/group-by'
import { continues, covers, type BreachOf, type HeldAbout } from '#core/places/covered'
import type { HoldReason } from '#shared/contracts/holds'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { holds as holdsTable } from '../../db/tables/lots'
import { recordEvent } from '../book/record-event'
import type { WriteContext } from '../context'

type Hold = RowOf<typeof holdsTable>
const REASONS = ['place_warm', 'place_warm_sum', 'place_not_shown', 'bench_long', 'fridge_warm'] as const satisfies readonly HoldReason[]

/** Holds of lots for warm places, by lot. */
export const placeHolds = async (tables: Tables, lotId: readonly number[]): Promise<Map<number, Hold[]>> =>
  groupBy(await tables.holds.find({ lotId, reason: REASONS }), hold => hold.lotId!)

/**
 * What a hold is about. One from before there were places is about the lot, wherever it lay, until the owner decided;
 * open, about all of its time. What was cut from a held piece is held as well.
 */
export const heldAbout = (hold: Hold, tree: PieceTree): HeldAbout =>
  hold.reason === 'fridge_warm'
    ? { reason: 'place_warm', about: null, pieces: null, fromMs: null, toMs: hold.disposedAtMs, worst: null }
    : {
        reason: hold.reason,
        about: hold.facts,
        pieces: hold.pieceIds && tree.asLeaves(hold.pieceIds),
        fromMs: hold.fromAtMs,
        toMs: hold.toAtMs,
        worst: hold.worst,
      }

/** The same stretch of several pieces is one breach. */
function together(found: readonly BreachOf[]): BreachOf[] {
  return [...groupBy(found, ({ pieces: _each, ...rest }) => JSON.stringify(rest)).values()].map(same => ({
    ...same[0]!,
    pieces: same.flatMap(one => one.pieces).toSorted((a, b) => a - b),
  }))
}

const recordHeld = (ctx: WriteContext, { code }: { code: string }, { reason, about, worst, fromMs, toMs, pieces }: BreachOf) =>
  recordEvent(ctx, {
    kind: 'held',
    subjects: [code],
    typed: {},
    computed: { reason: reason as HoldReason, facts: about, warmestC: worst, fromMs, toMs, pieceIds: pieces },
  })

/** Holds pieces of a lot for what was found of their places. An open hold on the same trouble takes it over. */
export async function holdPlaces(
  ctx: WriteContext,
  lot: { id: number; code: string },
  found: readonly BreachOf[],
  holds: readonly Hold[],
  tree: PieceTree,
): Promise<void> {
  const { tables } = ctx
  const breaches = together(found)
  const open = holds.filter(hold => hold.disposition === null)
  for (const breach of breaches) {
    const { pieces, fromMs, toMs, worst } = breach
    const going = open.find(hold => continues(heldAbout(hold, tree), breach))
    // What went on when it was held is over: its hold learns when.
    const isOver = going !== undefined && going.toAtMs === null && toMs !== null && going.fromAtMs === fromMs
    if (!isOver && holds.some(hold => covers(heldAbout(hold, tree), breach))) continue
    if (going) {
      await tables.holds.update(going.id, {
        pieceIds: going.pieceIds && [...new Set([...going.pieceIds, ...pieces])],
        fromAtMs: Math.min(going.fromAtMs!, fromMs),
        toAtMs: isOver ? toMs : going.toAtMs === null || toMs === null ? null : Math.max(going.toAtMs, toMs),
        worst: worst === null ? going.worst : Math.max(going.worst ?? worst, worst),
      })
      // Found by the clock, with no press that it would stand beside.
      if (ctx.entries.length === 0) recordHeld(ctx, lot, breach)
      continue
    }
    const reason = breach.reason as HoldReason
    await tables.holds.insert({
      lotId: lot.id,
      reason,
      facts: breach.about,
      pieceIds: [...pieces],
      fromAtMs: fromMs,
      toAtMs: toMs,
      worst,
      placedAtMs: ctx.nowMs,
    })
    recordHeld(ctx, lot, breach)
  }
  await markChanged(ctx, open, breaches, tree)
}

/** Says of open holds whose trouble follows no more by which record that came about; and of others that it follows. */
async function markChanged(
  ctx: WriteContext,
  open: readonly Hold[],
  breaches: readonly BreachOf[],
  tree: PieceTree,
): Promise<void> {
  const dated = open.filter(hold => hold.fromAtMs !== null)
  const follows = (hold: Hold) => breaches.some(breach => continues(heldAbout(hold, tree), breach))
  const gone = dated.filter(hold => !follows(hold) && hold.changedEventId === null).map(hold => hold.id)
  const back = dated.filter(hold => follows(hold) && hold.changedEventId !== null).map(hold => hold.id)
  if (back.length) await ctx.tables.holds.update(back, { changedEventId: null })
  if (gone.length) ctx.changedHolds = [...(ctx.changedHolds ?? []), ...gone]
}
