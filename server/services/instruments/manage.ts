import type { Celsius } from '#core/units/quantities'
import type { z } from 'zod'
import {
  ICE_POINT_C,
  judgeHygrometerCheck,
  judgeScaleCheck,
  judgeThermometerCheck,
  SALT_POINT_RH,
} from '#core/instruments/check-instrument'
import type { InstrumentCheckInput, instrumentChangeInput, InstrumentKind, instrumentInput } from '#shared/contracts/instruments'
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

/** What a check found, by its method; null for a method of another kind of instrument. */
function judge(kind: InstrumentKind, readability: number, input: InstrumentCheckInput) {
  switch (input.method) {
    case 'check_weight': {
      if (kind !== 'scale') return null
      const [reference, read] = [input.reference.netG, input.read.netG]
      const found = judgeScaleCheck({ referenceG: reference, readG: read, readabilityG: readability })
      return { reference, read, offset: 0, ...found }
    }
    case 'ice_point':
    case 'reference': {
      if (kind !== 'thermometer') return null
      const reference = input.method === 'ice_point' ? ICE_POINT_C : input.reference.tempC
      const { offsetC: offset, ...found } = judgeThermometerCheck({ referenceC: reference, readC: input.read.tempC })
      return { reference, read: input.read.tempC, offset, ...found }
    }
    case 'salt_point':
    case 'reference_rh': {
      if (kind !== 'hygrometer') return null
      const reference = input.method === 'salt_point' ? SALT_POINT_RH : input.reference.rh
      return { reference, read: input.read.rh, ...judgeHygrometerCheck({ referenceRh: reference, readRh: input.read.rh }) }
    }
  }
}

/**
 * A check of an instrument. The offset of what reads a temperature or a humidity is taken over from it, and from then on
 * taken off every reading.
 */
export async function recordInstrumentCheck(
  ctx: WriteContext,
  id: number,
  input: InstrumentCheckInput,
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
    readTyped: input.read.typed,
    errorValue: found.error,
    passed: found.passed,
    offsetC: found.offset,
    offsetBeforeC: one.offsetC,
    atMs: ctx.nowMs,
    byId: ctx.actor.id,
    note: input.note || null,
  })
  if (one.kind !== 'scale' && found.passed) await ctx.tables.instruments.update(id, { offsetC: found.offset })
  const { error, allowed, passed, offset: offsetC } = found
  recordEvent(ctx, {
    kind: 'instrument_checked',
    subjects: [],
    typed: input,
    computed: { checkId, instrumentId: id, instrument: one.name, is: one.kind, error, allowed, passed, offsetC },
  })
  return { ok: true, value: { passed, offsetC } }
}
