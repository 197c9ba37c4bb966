import type { PieceTree } from '#core/life/parts'
import { groupBy } from '#core/lists/group-by'
import { continues, covers, type BreachOf, type HeldAbout } from '#core/places/covered'
import type { HoldReason } from '#shared/contracts/holds'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/table-spec'
import type { holds as holdsTable } from '../../db/tables/lots'
import { recordEvent } from '../book/record-event'
import type { WriteContext } from '../context'

type Hold = RowOf<typeof holdsTable>
const REASONS = ['place_warm', 'place_warm_sum', 'fridge_warm'] as const satisfies readonly HoldReason[]

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
    if (holds.some(hold => covers(heldAbout(hold, tree), breach))) continue
    const { pieces, fromMs, toMs, worst } = breach
    const going = open.find(hold => continues(heldAbout(hold, tree), breach))
    if (going) {
      await tables.holds.update(going.id, {
        pieceIds: going.pieceIds && [...new Set([...going.pieceIds, ...pieces])],
        fromAtMs: Math.min(going.fromAtMs!, fromMs),
        toAtMs: Math.max(going.toAtMs!, toMs),
        worst: Math.max(going.worst ?? worst, worst),
      })
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
    recordEvent(ctx, {
      kind: 'held',
      subjects: [lot.code],
      typed: {},
      computed: { reason, facts: breach.about, warmestC: worst, fromMs, toMs, pieceIds: pieces },
    })
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
