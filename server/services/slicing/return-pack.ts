import { localDay } from '#core/calendar/local-day'
import type { PackReturnInput, returnDecisionInput } from '#shared/contracts/returns'
import type { z } from 'zod'
import { reasonsOf } from '../book/reasons-of'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { lockRows } from '../lock-rows'
import { refuseDay } from '../refuse-day'
import { happenedOf, whenOf } from '../when-told'

/**
 * A pack comes back from a customer, now or at an hour that is told late: it is in the shop again, and goes nowhere until
 * the owner decides. Who had it stays in the book.
 */
export async function returnPack(
  ctx: WriteContext,
  code: string,
  input: PackReturnInput,
): Promise<Answer<{ returnId: number }>> {
  const { tables } = ctx
  const when = whenOf(ctx, input)
  if (!when.ok) return when
  const known = await tables.packs.one({ code })
  if (!known) return refuse('no_such_pack', { code })
  const places = input.placeId === null ? [] : [input.placeId]
  await lockRows(tables, { places, lots: [known.lotId], packs: [known.id] })
  const pack = await tables.packs.the({ code })
  const sent = pack.dispatchId === null ? null : await tables.dispatches.one({ id: pack.dispatchId })
  if (!sent) return refuse('pack_in_shop', { code })
  const wrongDay = refuseDay(ctx, localDay(when.value, ctx.zone), { code, day: sent.sentOn }, ['when', 'atMs'])
  if (wrongDay) return wrongDay
  const place = input.placeId === null ? null : await tables.places.one({ id: input.placeId })
  if (input.placeId !== null && !place) return refuse('no_such_place', {}, ['placeId'])
  const { lotId, id: packId } = pack
  const returnId = await tables.packReturns.insert({
    packId,
    lotId,
    dispatchId: sent.id,
    placeId: input.placeId,
    atMs: when.value,
    byId: ctx.actor.id,
    reason: input.reason,
  })
  await tables.packs.update(packId, { dispatchId: null })
  const [lot, customer] = [await tables.lots.the({ id: lotId }), await tables.parties.the({ id: sent.customerId })]
  recordEvent(ctx, {
    kind: 'pack_returned',
    subjects: [code, lot.code],
    typed: { pack: code, reason: input.reason, place: place?.name ?? null },
    computed: { returnId, packId, dispatchId: sent.id, customer: customer.name, ...happenedOf(ctx, when.value) },
    ...reasonsOf(input.lateReason),
  })
  return { ok: true, value: { returnId } }
}

/** The owner decides on a pack that came back: it may go out again, or is destroyed. */
export async function decideReturn(
  ctx: WriteContext,
  id: number,
  { disposition, text }: z.output<typeof returnDecisionInput>,
): Promise<Answer<object>> {
  const { tables } = ctx
  const known = await tables.packReturns.one({ id })
  if (!known) return refuse('no_such_return')
  await lockRows(tables, { lots: [known.lotId], packs: [known.packId] })
  const found = await tables.packReturns.the({ id })
  if (found.disposition !== null) return refuse('already_decided')
  await tables.packReturns.update(id, {
    disposition,
    dispositionText: text,
    disposedAtMs: ctx.nowMs,
    disposedById: ctx.actor.id,
  })
  const [pack, lot] = [await tables.packs.the({ id: found.packId }), await tables.lots.the({ id: found.lotId })]
  recordEvent(ctx, {
    kind: 'return_decided',
    subjects: [pack.code, lot.code],
    typed: { pack: pack.code, disposition, text },
    computed: { returnId: id },
    reason: text,
  })
  return { ok: true, value: {} }
}
