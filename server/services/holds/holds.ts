import { byId } from '#core/lists/by-id'
import type { HoldReason, dispositionInput } from '#shared/contracts/holds'
import type { z } from 'zod'
import { pieceTree, type PieceTree } from '#core/life/parts'
import { isUndecided, stopsLot, stopsPieces, stopsSending } from '#core/lots/stops-lot'
import type { Tables } from '../../db/database'
import { treesOf } from '../../db/tables/which-pieces'
import { recordEvent } from '../book/record-event'
import { laySteps } from '../steps/lay-steps'
import { refuse, type Answer, type WriteContext } from '../context'
import { lockRows } from '../lock-rows'

export interface HoldCause {
  reason: HoldReason
  figures: Record<string, unknown>
  /** What it is about, "S-0003": a decision covers the facts it was made on, and no others. */
  facts?: string
  /** Held are these pieces; left out, the lot. */
  pieceIds?: readonly number[]
  /** The facts themselves were changed: an earlier decision on them stands no more. */
  again?: boolean
}

const treeOfLot = async (tables: Tables, lotId: number): Promise<PieceTree> =>
  pieceTree(await tables.pieces.pick(['parentId'], { lotId }))

/** Holds a lot for a reason, unless it is held for it on these facts, or the owner decided on just these. */
export async function holdLot(
  ctx: WriteContext,
  lot: { id: number; code: string },
  { reason, figures, facts, pieceIds, again }: HoldCause,
): Promise<void> {
  const alike = await ctx.tables.holds.find({ lotId: lot.id, reason, facts: facts ?? null })
  // Held are pieces and whatever is cut from them.
  const tree = alike.some(hold => hold.pieceIds) ? await treeOfLot(ctx.tables, lot.id) : null
  const isHeld = (id: number, held: readonly number[]) => tree!.withAncestors([id]).some(one => held.includes(one))
  const known = alike.filter(
    hold => hold.pieceIds === null || (pieceIds?.every(id => isHeld(id, hold.pieceIds!)) ?? false),
  )
  if (known.some(hold => hold.disposition === null)) return
  if (known.length > 0 && !again) return
  await ctx.tables.holds.insert({
    lotId: lot.id,
    reason,
    facts: facts ?? null,
    pieceIds: pieceIds ? [...pieceIds] : null,
    byRules: ctx.byRules ?? null,
    placedAtMs: ctx.nowMs,
  })
  recordEvent(ctx, {
    kind: 'held',
    subjects: [lot.code],
    typed: {},
    computed: { reason, ...(facts ? { facts } : {}), ...(pieceIds ? { pieceIds } : {}), ...figures },
  })
}

/** Meat held at the door: it stays out of every lot until the owner decides. */
export async function holdMeat(
  ctx: WriteContext,
  meat: { id: number; code: string },
  reason: HoldReason,
  note: string,
): Promise<void> {
  await ctx.tables.holds.insert({ meatLotId: meat.id, reason, note, placedAtMs: ctx.nowMs })
  recordEvent(ctx, { kind: 'held', subjects: [meat.code], typed: {}, computed: { reason }, reason: note })
}

/** Anyone who records may hold a lot, with the reason in words. */
export async function holdByHand(ctx: WriteContext, code: string, text: string): Promise<Answer<object>> {
  const lot = await ctx.tables.lots.one({ code }, { lock: true })
  if (!lot) return refuse('no_such_lot', { code })
  await ctx.tables.holds.insert({ lotId: lot.id, reason: 'by_hand', note: text, placedAtMs: ctx.nowMs })
  recordEvent(ctx, { kind: 'held', subjects: [code], typed: { text }, computed: { reason: 'by_hand' }, reason: text })
  return { ok: true, value: {} }
}

/**
 * What is held goes nowhere. Lots of which one is held, or was destroyed, give its refusal; a hold on some pieces stops
 * those alone, where `pieceIds` says which are to go. `sending`: what is being reworked does not go out either.
 */
export async function refuseHeld(
  ctx: WriteContext,
  lots: readonly { id: number; code: string }[],
  pieceIds: readonly number[] | null = null,
  { sending = false } = {},
): Promise<Answer<null>> {
  const lotId = lots.map(lot => lot.id)
  const holds = await ctx.tables.holds.find({ lotId })
  const treeOf = treesOf(holds.length ? await ctx.tables.pieces.pick(['lotId', 'parentId'], { lotId }) : [])
  const stops = (hold: (typeof holds)[number]) => {
    const tree = treeOf(hold.lotId!)
    if (sending) return stopsSending(hold, pieceIds ?? tree.leaves, tree)
    return pieceIds ? stopsPieces(hold, pieceIds, tree) : stopsLot(hold, tree)
  }
  const stopping = holds.find(stops)
  if (!stopping) return { ok: true, value: null }
  const code = byId(lots, 'lot')(stopping.lotId!).code
  if (stopping.disposition === 'destroy') return refuse('lot_destroyed', { code })
  return refuse(stopping.disposition === 'reworking' ? 'lot_reworking' : 'lot_held', { code, reason: stopping.reason })
}

/** What was destroyed is gone: those held of a lot that are still there, and whatever was cut from them. Answers with its steps. */
async function takeAway(ctx: WriteContext, lotId: number, pieceIds: readonly number[] | null): Promise<Answer<number[]>> {
  const [lot] = await ctx.tables.lots.pick(['code', 'zone'], { id: lotId }, { lock: true, withVoided: true })
  const rows = await ctx.tables.pieces.pick(['parentId', 'goneAtMs'], { lotId })
  const held = pieceIds && new Set(pieceTree(rows).asLeaves(pieceIds))
  const pieces = rows.filter(row => row.goneAtMs === null && (held?.has(row.id) ?? true)).map(row => row.id)
  if (pieces.length === 0) return { ok: true, value: [] }
  const laid = await laySteps(ctx, lot!, [{ kind: 'take', pieces, figures: { why: 'thrown_away', decided: true } }])
  return laid.ok ? { ok: true, value: laid.value.ids } : laid
}

/**
 * The owner decides on a hold, with the reason in words. What is destroyed is gone with it; what is reworked may be worked
 * on, and is decided on again.
 */
export async function dispose(
  ctx: WriteContext,
  holdId: number,
  input: z.output<typeof dispositionInput>,
): Promise<Answer<object>> {
  const known = await ctx.tables.holds.one({ id: holdId })
  if (!known) return refuse('no_such_hold')
  await lockRows(ctx.tables, known.lotId === null ? { meatLots: [known.meatLotId!] } : { lots: [known.lotId] })
  const hold = await ctx.tables.holds.the({ id: holdId })
  if (!isUndecided(hold) || (hold.disposition === 'reworking' && input.disposition === 'rework')) return refuse('already_decided')
  const held
    = hold.lotId === null
      ? await ctx.tables.meatLots.one({ id: hold.meatLotId! })
      : await ctx.tables.lots.one({ id: hold.lotId }, { withVoided: true })
  if (hold.meatLotId !== null)
    await ctx.tables.meatLots.update(hold.meatLotId, { state: input.disposition === 'destroy' ? 'destroyed' : 'in' })
  await ctx.tables.holds.update(holdId, {
    // The decision covers what went on up to now.
    ...(hold.fromAtMs !== null && hold.toAtMs === null ? { toAtMs: ctx.nowMs } : {}),
    // Meat at the door has no packs yet: what is done to it is over when it is let in.
    disposition: input.disposition === 'rework' && hold.lotId !== null ? 'reworking' : input.disposition,
    dispositionText: input.text,
    disposedAtMs: ctx.nowMs,
    disposedById: ctx.actor.id,
  })
  const taken = input.disposition === 'destroy' && hold.lotId !== null ? await takeAway(ctx, hold.lotId, hold.pieceIds) : null
  if (taken && !taken.ok) return taken
  recordEvent(ctx, {
    kind: 'disposed',
    subjects: [held!.code],
    typed: input,
    computed: { hold: hold.reason },
    reason: input.text,
    ...(taken ? { steps: taken.value } : {}),
  })
  return { ok: true, value: {} }
}
