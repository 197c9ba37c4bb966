import { SAME_TURN_MS } from '#core/rules/house'
import { MS_PER_MINUTE } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { laySteps } from '../life/lay-steps'

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
  const [last] = await ctx.tables.steps.find(
    { lotId: lot.value.id, kind: 'turn' },
    { order: [['fromAtMs', 'DESC']], limit: 1 },
  )
  if (last && Math.abs(ctx.nowMs - last.fromAtMs) < SAME_TURN_MS) {
    const by = await ctx.tables.users.one({ id: last.byId })
    return refuse('turned_just_now', {
      code,
      who: by!.name,
      minutes: Math.round(Math.abs(ctx.nowMs - last.fromAtMs) / MS_PER_MINUTE),
    })
  }
  const laid = await laySteps(ctx, lot.value, [
    { kind: 'turn', pieces: 'all', figures: { how: 'turned', face: null } },
  ])
  if (!laid.ok) return laid
  const turnId = await ctx.tables.turns.insert({ lotId: lot.value.id, atMs: ctx.nowMs, byId: ctx.actor.id })
  recordEvent(ctx, { kind: 'turned', subjects: [code], typed: {}, computed: { turnId }, steps: laid.value.ids })
  return { ok: true, value: { turnId } }
}

/** Liquid was drained off; the last time is what the room shows, every time is in the book. */
export async function drainLot(ctx: WriteContext, code: string): Promise<Answer<object>> {
  const lot = await curingLot(ctx.tables, code)
  if (!lot.ok) return lot
  const figures = { how: 'poured_off', drained: null, back: false, saltLies: false } as const
  const laid = await laySteps(ctx, lot.value, [{ kind: 'drain', pieces: 'all', figures }])
  if (!laid.ok) return laid
  const beforeMs = lot.value.drainedAtMs
  recordEvent(ctx, { kind: 'drained', subjects: [code], typed: {}, computed: { beforeMs }, steps: laid.value.ids })
  return { ok: true, value: {} }
}

/** Out of the cure and rinsed: the day count stops, drying begins. */
export async function endCure(ctx: WriteContext, code: string): Promise<Answer<object>> {
  const lot = await curingLot(ctx.tables, code)
  if (!lot.ok) return lot
  const laid = await laySteps(ctx, lot.value, [{ kind: 'out', pieces: 'all', figures: { rinses: null } }])
  if (!laid.ok) return laid
  const beforeMs = lot.value.cureEndedAtMs
  recordEvent(ctx, { kind: 'cure_ended', subjects: [code], typed: {}, computed: { beforeMs }, steps: laid.value.ids })
  return { ok: true, value: {} }
}
