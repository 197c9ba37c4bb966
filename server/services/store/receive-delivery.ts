import { ARRIVAL_REFUSE_C } from '#core/rules/house'
import type { z } from 'zod'
import type { deliveryInput, MeatState } from '#shared/contracts/store'
import { nextCode, nextCodes } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { knownFile } from '../files/keep-file'
import { holdMeat } from '../holds/holds'
import { readWith, refuseScale } from '../instruments/read-with'
import { partyNamed } from './parties'

type Input = z.output<typeof deliveryInput>
const STATE_OF: Record<Input['lines'][number]['decision'], MeatState> = { take: 'in', hold: 'held', refuse: 'refused' }

/**
 * A delivery at the door, every cut of it with its own temperature and condition. Above 7 °C, the thermometer's offset
 * taken off, a cut is sent back or held, with the reason; what is sent back stays on record.
 */
export async function receiveDelivery(
  ctx: WriteContext,
  input: Input,
): Promise<Answer<{ code: string; meatCodes: string[] }>> {
  const { tables } = ctx
  const noScale = await refuseScale(tables, input.scaleId, ['scaleId'])
  if (noScale) return noScale
  if (!(await knownFile(tables, input.photoId))) return refuse('no_such_file', {}, ['photoId'])
  const readings = []
  for (const [i, line] of input.lines.entries()) {
    const read = await readWith(tables, input.thermometerId, line.temperature.tempC, ['thermometerId'])
    if (!read.ok) return read
    if (line.decision === 'take' && read.value.tempC > ARRIVAL_REFUSE_C)
      return refuse('arrival_too_warm', { tempC: read.value.tempC }, ['lines', i, 'decision'])
    readings.push(read.value)
  }
  const supplierId = await partyNamed(tables, 'supplier', input.supplier)
  // Counters are locked by id: that of meat is older.
  const meatCodes = await nextCodes(tables, 'meat', input.lines.length)
  const code = await nextCode(tables, 'delivery')
  const at = { receivedAtMs: ctx.nowMs, receivedById: ctx.actor.id }
  const deliveryId = await tables.deliveries.insert({
    code,
    supplierId,
    document: input.document,
    photoId: input.photoId,
    note: input.note || null,
    ...at,
  })
  const meat = []
  for (const [i, line] of input.lines.entries()) {
    const { tempC, offsetC, thermometerId } = readings[i]!
    const id = await tables.meatLots.insert({
      code: meatCodes[i]!,
      deliveryId,
      supplierId,
      supplierLot: line.supplierLot,
      cut: line.cut,
      rind: line.rind,
      weightG: line.weight.netG,
      weightTyped: line.weight.typed,
      scaleId: input.scaleId,
      temperatureC: tempC,
      temperatureTyped: line.temperature.typed,
      thermometerId,
      offsetC,
      packDate: line.packDate,
      state: STATE_OF[line.decision],
      checks: line.checks,
      note: line.reason || null,
      ...at,
    })
    meat.push({
      id,
      code: meatCodes[i]!,
      weightG: line.weight.netG,
      temperatureC: tempC,
      offsetC,
      state: STATE_OF[line.decision],
    })
  }
  recordEvent(ctx, {
    kind: 'delivery_received',
    subjects: [code, ...meatCodes],
    typed: input,
    computed: { deliveryId, meat },
  })
  for (const [i, line] of input.lines.entries()) {
    if (line.decision === 'hold')
      await holdMeat(
        ctx,
        meat[i]!,
        meat[i]!.temperatureC > ARRIVAL_REFUSE_C ? 'arrival_warm' : 'arrival_poor',
        line.reason!,
      )
  }
  return { ok: true, value: { code, meatCodes } }
}
