import { lastOf } from '#core/lists/last-of'
import { atKey } from '#core/lists/at-key'
import type { Grams } from '#core/units/quantities'
import { TWO_SCALES_SHARE } from '#core/rules/house'
import type { z } from 'zod'
import { saltLedger } from '#core/ledger/salt-ledger'
import type { stockMoveInput } from '#shared/contracts/store'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { saltEntries } from '../store-rows/salt-entries'
import { ingredientLeftG } from '../store-rows/stock'

type Input = z.output<typeof stockMoveInput>

/**
 * Stock that leaves other than into a lot, or is counted. A count that is off by more than the scales allow needs a
 * reason, and from then on the book goes by the count.
 */
export async function moveStock(
  ctx: WriteContext,
  code: string,
  input: Input,
): Promise<Answer<{ differenceG: Grams | null; off: boolean }>> {
  const { tables } = ctx
  const lot = await tables.ingredientLots.one({ code }, { lock: true })
  if (!lot) return refuse('no_such_ingredient', { code })
  const scale = input.scaleId === null ? null : await tables.instruments.one({ id: input.scaleId, kind: 'scale' })
  if (input.scaleId !== null && !scale) return refuse('no_such_scale', {}, ['scaleId'])
  const at = { ingredientLotId: lot.id, scaleId: input.scaleId, atMs: ctx.nowMs, byId: ctx.actor.id }
  const leftG = await ingredientLeftG(tables, lot)
  if (input.kind !== 'count') {
    const { netG: massG, typed } = input.amount
    if (massG > leftG + lot.amountG * TWO_SCALES_SHARE)
      return refuse('ingredient_used_up', { code, leftG: Math.max(0, leftG) }, ['amount'])
    const moveId = await tables.stockMoves.insert({ ...at, kind: input.kind, massG, typed, reason: input.reason })
    recordEvent(ctx, {
      kind: 'stock_moved',
      subjects: [code],
      typed: input,
      computed: { moveId, massG, leftG: leftG - massG },
      reason: input.reason,
    })
    return { ok: true, value: { differenceG: null, off: input.kind === 'unassigned' } }
  }
  if (!scale) return refuse('count_needs_scale', {}, ['scaleId'])
  const { netG: countedG, typed } = input.counted
  const entries = [
    ...atKey((await saltEntries(tables, [lot])), lot.id),
    { kind: 'count' as const, atMs: ctx.nowMs, countedG, readabilityG: scale.readability },
  ]
  const line = lastOf(saltLedger(entries))
  const off = line.anomaly === 'count_off'
  const [differenceG, allowedG] = [line.differenceG!, line.allowedG!]
  if (off && (input.reason ?? '').length < 3) {
    return refuse(
      'count_off',
      { countedG, bookG: leftG, differenceG: Math.abs(differenceG), allowedG },
      ['reason'],
    )
  }
  const moveId = await tables.stockMoves.insert({
    ...at,
    kind: 'count',
    massG: differenceG,
    typed,
    countedG,
    bookG: leftG,
    allowedG,
    reason: input.reason || null,
  })
  recordEvent(ctx, {
    kind: 'stock_counted',
    subjects: [code],
    typed: input,
    computed: { moveId, countedG, bookG: leftG, differenceG, allowedG, off },
    ...(input.reason ? { reason: input.reason } : {}),
  })
  return { ok: true, value: { differenceG, off } }
}
