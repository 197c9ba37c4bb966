import type { EventKind } from '#shared/contracts/events'
import type { Tables } from '../../db/store'
import { recordEvent } from '../book/record-event'
import { notFound, refuse, type Answer, type WriteContext } from '../context'

/** A lot that is in the cure, locked until the record is made. */
async function curingLot(tables: Tables, code: string) {
  const lot = await tables.lots.one({ code }, { lock: true })
  if (!lot) return notFound('no_such_lot', { code })
  if (lot.cureEndedAtMs !== null) return refuse('cure_over', { code })
  return { ok: true as const, value: lot }
}

/** All pieces of a lot were turned. */
export async function turnLot(ctx: WriteContext, code: string): Promise<Answer<{ turnId: number }>> {
  const lot = await curingLot(ctx.tables, code)
  if (!lot.ok) return lot
  const turnId = await ctx.tables.turns.insert({ lotId: lot.value.id, atMs: ctx.nowMs, byId: ctx.actor.id, voided: false })
  await recordEvent(ctx, { kind: 'turned', subjects: [code], typed: {}, computed: { turnId } })
  return { ok: true, value: { turnId } }
}

/** A turn that was not one is voided, with the reason; it stays in the book. */
export async function voidTurn(ctx: WriteContext, turnId: number, reason: string): Promise<Answer<object>> {
  const turn = await ctx.tables.turns.one({ id: turnId }, { lock: true })
  if (!turn) return notFound('no_such_turn')
  if (turn.voided) return { ...refuse('already_voided'), status: 409 }
  const lot = (await ctx.tables.lots.one({ id: turn.lotId }))!
  await ctx.tables.turns.update(turnId, { voided: true })
  await recordEvent(ctx, { kind: 'turn_voided', subjects: [lot.code], typed: { turnId }, computed: { turnedAtMs: turn.atMs }, reason })
  return { ok: true, value: {} }
}

async function markLot(ctx: WriteContext, code: string, field: 'drainedAtMs' | 'cureEndedAtMs', kind: EventKind): Promise<Answer<object>> {
  const lot = await curingLot(ctx.tables, code)
  if (!lot.ok) return lot
  await ctx.tables.lots.update(lot.value.id, { [field]: ctx.nowMs })
  await recordEvent(ctx, { kind, subjects: [code], typed: {} })
  return { ok: true, value: {} }
}

/** Liquid was drained off; the last time is what the room shows, every time is in the book. */
export const drainLot = (ctx: WriteContext, code: string) => markLot(ctx, code, 'drainedAtMs', 'drained')

/** Out of the cure and rinsed: the day count stops, drying begins. */
export const endCure = (ctx: WriteContext, code: string) => markLot(ctx, code, 'cureEndedAtMs', 'cure_ended')
