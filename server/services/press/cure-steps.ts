import type { Tables } from '../../db/database'
import { pressInput, type PressInput } from '#shared/steps/press'
import type { z } from 'zod'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { recordPress } from './record-press'

/** A lot that is in the cure, locked until the record is made. */
async function refuseCure(tables: Tables, code: string): Promise<Refusal | null> {
  const lot = await tables.lots.one({ code }, { lock: true })
  if (!lot) return refuse('no_such_lot', { code })
  return lot.cureEndedAtMs === null ? null : refuse('cure_over', { code })
}

/**
 * One step of all that lies of a lot in the cure, told now: what the ways in from before there were steps could say.
 */
async function pressNow(
  ctx: WriteContext,
  code: string,
  step: z.input<typeof pressInput>['steps'][number],
  more: Partial<PressInput> = {},
) {
  const refused = await refuseCure(ctx.tables, code)
  if (refused) return refused
  const press = pressInput.parse({ steps: [step], lots: [{ code, pieces: null }], when: { told: 'now' } })
  return recordPress(ctx, { ...press, ...more })
}

/** All pieces of a lot were turned. Answers with the step's id. */
export async function turnLot(ctx: WriteContext, code: string): Promise<Answer<{ turnId: number }>> {
  const told = await pressNow(ctx, code, { kind: 'turn', how: 'turned', face: null })
  if (told.ok) return { ok: true, value: { turnId: told.value.steps[0]!.id } }
  if (told.code !== 'told_already') return told
  const { kind: _turn, ...params } = told.params!
  return refuse('turned_just_now', params as { code: string; who: string; minutes: number })
}

/** Liquid was drained off, nobody said how much. */
export async function drainLot(ctx: WriteContext, code: string): Promise<Answer<object>> {
  const drain = { kind: 'drain', how: 'poured_off', liquid: null, back: false, saltLies: false } as const
  // A turn could always be told as often as it was done.
  const told = await pressNow(ctx, code, drain, { again: true })
  return told.ok ? { ok: true, value: {} } : told
}

/** Out of the cure and rinsed: the day count stops, drying begins. */
export async function endCure(ctx: WriteContext, code: string, despite: string | null): Promise<Answer<object>> {
  const told = await pressNow(ctx, code, { kind: 'out', rinses: null }, { despite })
  return told.ok ? { ok: true, value: {} } : told
}
