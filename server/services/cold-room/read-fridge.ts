import { judgeFridge, type FridgeVerdict } from '#core/fridge/excursion'
import type { RowOf } from '../../db/table-spec'
import type { lots as lotsTable } from '../../db/tables/lots'
import { since } from '../../db/where'
import type { TypedTemperature } from '#shared/contracts/fields'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { readWith } from '../instruments/read-with'

const IN_FRIDGE = ['code', 'rubbedAtMs'] as const
type InFridge = Pick<RowOf<typeof lotsTable>, 'id' | (typeof IN_FRIDGE)[number]>

/** Lots lying in a fridge: rubbed into it and not yet packed. */
async function lotsIn(ctx: WriteContext, fridgeId: number): Promise<InFridge[]> {
  const lots = await ctx.tables.lots.pick(IN_FRIDGE, { fridgeId, finishedAtMs: null })
  const packed = lots.length
    ? await ctx.tables.packs.totals('lotId', { where: { lotId: lots.map(lot => lot.id) } })
    : new Map()
  return lots.filter(lot => !packed.has(lot.id))
}

/**
 * Looks at every lot in the fridge since it was rubbed, or since the owner last decided, and holds those kept too warm.
 */
export async function checkFridge(
  ctx: WriteContext,
  fridgeId: number,
  known?: readonly InFridge[],
): Promise<FridgeVerdict> {
  const lots = known ?? (await lotsIn(ctx, fridgeId))
  const decisions = lots.length
    ? await ctx.tables.holds.find({ lotId: lots.map(lot => lot.id), reason: 'fridge_warm' })
    : []
  const looked = lots.map(lot => ({
    lot,
    sinceMs: Math.max(
      lot.rubbedAtMs,
      ...decisions.filter(hold => hold.lotId === lot.id).map(hold => hold.disposedAtMs ?? 0),
    ),
  }))
  // No further back than the oldest of them: a fridge is read for years.
  const fromMs = Math.min(...looked.map(one => one.sinceMs))
  const readings = lots.length
    ? await ctx.tables.fridgeReadings.pick(
        ['atMs', 'tempC'],
        { fridgeId, atMs: since(fromMs) },
        { order: [['atMs', 'ASC']] },
      )
    : []
  for (const { lot, sinceMs } of looked) {
    const mine = readings.filter(reading => reading.atMs >= sinceMs)
    if (judgeFridge(mine) === 'hold') {
      await holdLot(ctx, lot, {
        reason: 'fridge_warm',
        again: true,
        figures: { warmestC: Math.max(...mine.map(r => r.tempC)), fridgeId },
      })
    }
  }
  const lastTwo = await ctx.tables.fridgeReadings.pick(['atMs', 'tempC'], { fridgeId }, { order: [['atMs', 'DESC']], limit: 2 })
  return judgeFridge(lastTwo.toReversed())
}

/** A fridge temperature, read now on the fridge's own thermometer. */
export async function readFridge(
  ctx: WriteContext,
  fridgeId: number,
  temperature: TypedTemperature,
): Promise<Answer<{ verdict: FridgeVerdict }>> {
  const fridge = await ctx.tables.fridges.one({ id: fridgeId }, { lock: true })
  if (!fridge) return refuse('no_such_fridge')
  const read = await readWith(ctx.tables, fridge.thermometerId, temperature.tempC, ['temperature'])
  if (!read.ok) return read
  const readingId = await ctx.tables.fridgeReadings.insert({
    fridgeId,
    atMs: ctx.nowMs,
    typed: temperature.typed,
    byId: ctx.actor.id,
    ...read.value,
  })
  const lots = await lotsIn(ctx, fridgeId)
  recordEvent(ctx, {
    kind: 'fridge_read',
    subjects: lots.map(lot => lot.code),
    typed: { fridge: fridge.name, temperature: temperature.typed },
    computed: { readC: temperature.tempC, ...read.value, readingId, fridgeId },
  })
  return { ok: true, value: { verdict: await checkFridge(ctx, fridgeId, lots) } }
}
