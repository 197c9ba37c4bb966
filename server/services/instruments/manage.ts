import type { Celsius } from '#core/units/quantities'
import type { z } from 'zod'
import { ICE_POINT_C, judgeScaleCheck, judgeThermometerCheck } from '#core/instruments/check-instrument'
import type { CheckInput, fridgeInput, instrumentChangeInput, instrumentInput } from '#shared/contracts/instruments'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'

export async function addInstrument(
  ctx: WriteContext,
  input: z.output<typeof instrumentInput>,
): Promise<Answer<{ id: number }>> {
  const id = await ctx.tables.instruments.insert({
    kind: input.kind,
    name: input.name,
    everyDays: input.everyDays,
    offsetC: 0,
    inUse: true,
    purpose: input.kind === 'scale' ? input.purpose : null,
    readability: input.kind === 'scale' ? input.readabilityG : input.readability,
  })
  recordEvent(ctx, { kind: 'instrument_added', subjects: [], typed: input, computed: { id } })
  return { ok: true, value: { id } }
}

export async function changeInstrument(
  ctx: WriteContext,
  id: number,
  input: z.output<typeof instrumentChangeInput>,
): Promise<Answer<object>> {
  const one = await ctx.tables.instruments.one({ id }, { lock: true })
  if (!one) return refuse('no_such_instrument')
  await ctx.tables.instruments.update(id, input)
  recordEvent(ctx, {
    kind: 'instrument_changed',
    subjects: [],
    typed: input,
    computed: { id, before: { name: one.name, everyDays: one.everyDays, inUse: one.inUse } },
  })
  return { ok: true, value: {} }
}

function judge(kind: 'scale' | 'thermometer', readability: number, input: CheckInput) {
  if (kind === 'scale') {
    if (input.method !== 'check_weight') return null
    const [reference, read] = [input.reference.netG, input.read.netG]
    return {
      reference,
      read,
      typed: input.read.typed,
      offsetC: 0,
      ...judgeScaleCheck({ referenceG: reference, readG: read, readabilityG: readability }),
    }
  }
  if (input.method === 'check_weight') return null
  const reference = input.method === 'ice_point' ? ICE_POINT_C : input.reference.tempC
  return {
    reference,
    read: input.read.tempC,
    typed: input.read.typed,
    ...judgeThermometerCheck({ referenceC: reference, readC: input.read.tempC }),
  }
}

/** A check of an instrument. A thermometer's offset is taken over from it and from then on taken off every reading. */
export async function recordCheck(
  ctx: WriteContext,
  id: number,
  input: CheckInput,
): Promise<Answer<{ passed: boolean; offsetC: Celsius }>> {
  const one = await ctx.tables.instruments.one({ id }, { lock: true })
  if (!one) return refuse('no_such_instrument')
  const found = judge(one.kind, one.readability, input)
  if (!found) return refuse('wrong_check', {}, ['method'])
  const checkId = await ctx.tables.instrumentChecks.insert({
    instrumentId: id,
    method: input.method,
    referenceValue: found.reference,
    readValue: found.read,
    readTyped: found.typed,
    errorValue: found.error,
    passed: found.passed,
    offsetC: found.offsetC,
    offsetBeforeC: one.offsetC,
    atMs: ctx.nowMs,
    byId: ctx.actor.id,
    note: input.note || null,
  })
  if (one.kind === 'thermometer' && found.passed) await ctx.tables.instruments.update(id, { offsetC: found.offsetC })
  const { error, allowed, passed, offsetC } = found
  recordEvent(ctx, {
    kind: 'instrument_checked',
    subjects: [],
    typed: input,
    computed: { checkId, instrumentId: id, instrument: one.name, is: one.kind, error, allowed, passed, offsetC },
  })
  return { ok: true, value: { passed, offsetC } }
}

export async function addFridge(
  ctx: WriteContext,
  input: z.output<typeof fridgeInput>,
): Promise<Answer<{ id: number }>> {
  const refusal = await refuseFridge(ctx, input, null)
  if (refusal) return refusal
  const id = await ctx.tables.fridges.insert(input)
  recordEvent(ctx, { kind: 'fridge_added', subjects: [], typed: input, computed: { id } })
  return { ok: true, value: { id } }
}

export async function changeFridge(
  ctx: WriteContext,
  id: number,
  input: z.output<typeof fridgeInput>,
): Promise<Answer<object>> {
  const fridge = await ctx.tables.fridges.one({ id }, { lock: true })
  if (!fridge) return refuse('no_such_fridge')
  const refusal = await refuseFridge(ctx, input, id)
  if (refusal) return refusal
  await ctx.tables.fridges.update(id, input)
  recordEvent(ctx, {
    kind: 'fridge_changed',
    subjects: [],
    typed: input,
    computed: { id, before: { name: fridge.name, thermometerId: fridge.thermometerId } },
  })
  return { ok: true, value: {} }
}

async function refuseFridge(ctx: WriteContext, input: z.output<typeof fridgeInput>, own: number | null) {
  const named = await ctx.tables.fridges.one({ name: input.name })
  if (named && named.id !== own) return refuse('name_taken', { name: input.name }, ['name'])
  if (
    input.thermometerId !== null
    && !(await ctx.tables.instruments.one({ id: input.thermometerId, kind: 'thermometer' }))
  )
    return refuse('no_such_thermometer', {}, ['thermometerId'])
  return null
}
