import { SAME_TURN_MS } from '#core/rules/house'
import { MS_PER_MINUTE } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'

/** A lot that is in the cure, locked until the record is made. */
async function curingLot(tables: Tables, code: string) {
  const lot = await tables.lots.one({ code }, { lock: true })
  if (!lot) return refuse('no_such_lot', { code })
  if (lot.cureEndedAtMs !== null) return refuse('cure_over', { code })
  return { ok: true as const, value: lot }
}

/** All pieces of a lot were turned. */
export async function turnLot(ctx: WriteContext, code: string): Promise<Answer<{ turnId: number }>> {
  const lot = await curingLot(ctx.tables, code)
  if (!lot.ok) return lot
  // Two tablets, one turn: whoever came second is told, and the lot keeps one.
  const [last] = await ctx.tables.turns.find({ lotId: lot.value.id }, { order: [['atMs', 'DESC']], limit: 1 })
  if (last && Math.abs(ctx.nowMs - last.atMs) < SAME_TURN_MS) {
    const by = await ctx.tables.users.one({ id: last.byId })
    return refuse('turned_just_now', {
      code,
      who: by!.name,
      minutes: Math.round(Math.abs(ctx.nowMs - last.atMs) / MS_PER_MINUTE),
    })
  }
  const turnId = await ctx.tables.turns.insert({ lotId: lot.value.id, atMs: ctx.nowMs, byId: ctx.actor.id })
  recordEvent(ctx, { kind: 'turned', subjects: [code], typed: {}, computed: { turnId } })
  return { ok: true, value: { turnId } }
}

async function markLot(
  ctx: WriteContext,
  code: string,
  field: 'drainedAtMs' | 'cureEndedAtMs',
  kind: 'drained' | 'cure_ended',
): Promise<Answer<object>> {
  const lot = await curingLot(ctx.tables, code)
  if (!lot.ok) return lot
  await ctx.tables.lots.update(lot.value.id, { [field]: ctx.nowMs })
  recordEvent(ctx, { kind, subjects: [code], typed: {}, computed: { beforeMs: lot.value[field] } })
  return { ok: true, value: {} }
}

/** Liquid was drained off; the last time is what the room shows, every time is in the book. */
export const drainLot = (ctx: WriteContext, code: string) => markLot(ctx, code, 'drainedAtMs', 'drained')

/** Out of the cure and rinsed: the day count stops, drying begins. */
export const endCure = (ctx: WriteContext, code: string) => markLot(ctx, code, 'cureEndedAtMs', 'cure_ended')
