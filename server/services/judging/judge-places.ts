import { atKey } from '#core/lists/at-key'
import { foldStanding } from '#core/life/fold-standing'
import type { PieceLife } from '#core/life/fold'
import { pieceTree } from '#core/life/parts'
import { groupBy } from '#core/lists/group-by'
import type { BreachOf } from '#core/places/covered'
import { warmthLines, type PlaceReading } from '#core/places/lines'
import { benchTime } from '#core/places/bench-time'
import { isBench } from '#core/places/place-kind'
import { coldLimitC } from '#core/places/place-verdict'
import { unreadStretches } from '#core/places/unread'
import { breachesOf } from '#core/places/warmth'
import { BENCH_CHECKS, HANG_CHECKS } from '#core/rules/house'
import { MS_PER_DAY } from '#core/units/quantities'
import type { HoldReason } from '#shared/contracts/holds'
import { isLeaf } from '../../db/tables/which-pieces'
import { present, since } from '../../db/schema/where'
import type { WriteContext } from '../context'
import { holdPlaces, heldAbout, placeHolds } from '../holds/hold-places'
import { standingSteps } from '../steps/standing-steps'
import { theShop } from '../shop/shop-facts'
import type { LyingLot } from '../steps/lots-that-lay'

/** Readings of places since a moment, and of the day before it: the line into a stay begins there. By place. */
async function readingsSince({ tables }: WriteContext, lives: readonly PieceLife[]): Promise<Map<number, PlaceReading[]>> {
  const from = new Map<number, number>()
  for (const { placeId, fromMs } of lives.flatMap(life => life.stays))
    if (placeId !== null) from.set(placeId, Math.min(from.get(placeId) ?? Infinity, fromMs))
  const rows = await tables.placeReadings.pickEach(['placeId', 'atMs', 'tempC'], {
    wheres: [...from].map(([placeId, fromMs]) => ({ placeId, atMs: since(fromMs - MS_PER_DAY), tempC: present })),
  })
  const readings = rows.map(({ placeId, atMs, tempC }) => ({ placeId, atMs, tempC: tempC! }))
  return groupBy(readings.toSorted((a, b) => a.atMs - b.atMs), reading => reading.placeId)
}

/**
 * Judges lots by the places their pieces were in, while they were in them, by the stage they were in, and holds the
 * pieces that lay too warm, too long on a bench, or where nobody read. A decision covers what it was made on; no hold
 * is lifted here. The lots get locked, in order of id. True when something is found of some piece.
 */
export async function judgePlaces(ctx: WriteContext, lots: readonly LyingLot[]): Promise<boolean> {
  if (lots.length === 0) return false
  const { tables } = ctx
  const lotId = lots.map(lot => lot.id)
  await tables.lots.pick([], { id: lotId }, { order: [['id', 'ASC']], lock: true })
  const [steps, holds, shop] = await Promise.all([
    standingSteps(tables, lotId),
    placeHolds(tables, lotId),
    theShop(tables),
  ])
  const lives = new Map(lotId.map(id => [id, foldStanding(steps.get(id) ?? []).life.pieces]))
  const readings = await readingsSince(ctx, [...lives.values()].flat())
  const readingsOf = (placeId: number) => readings.get(placeId) ?? []
  const places = new Map((await tables.places.pick(['code', 'kind', 'can', 'targetC'], {})).map(place => [place.id, place]))
  const hungC = (placeId: number) => places.get(placeId)?.targetC ?? HANG_CHECKS.usualC
  const onBench = (placeId: number) => places.has(placeId) && isBench(atKey(places, placeId))
  const limitC = coldLimitC(shop.ruleSetId)
  let isWarm = false
  for (const lot of lots) {
    const mine = holds.get(lot.id) ?? []
    const all = atKey(lives, lot.id)
    const tree = pieceTree(all.map(({ pieceId: id, parentId }) => ({ id, parentId })))
    // A part has all behind it where it was cut from lay.
    const alike = groupBy(all.filter(isLeaf), piece => JSON.stringify(piece.stays))
    const found = [...alike.values()].flatMap((pieces): BreachOf[] => {
      const ids = pieces.map(piece => piece.pieceId)
      const { stays } = pieces[0]!
      const abouts = mine
        .filter(hold => hold.disposition !== null)
        .map(hold => heldAbout(hold, tree))
        .filter(about => about.pieces === null || ids.every(id => about.pieces!.includes(id)))
      const decidedOn = (reason?: HoldReason) =>
        abouts
          .filter(about => reason === undefined || about.reason === reason)
          .flatMap(({ fromMs, toMs }) => (toMs === null ? [] : [{ fromMs: fromMs ?? -Infinity, toMs }]))
      const cold = stays.filter(stay => stay.placeId === null || !onBench(stay.placeId))
      const decided = decidedOn()
      const asked = { readingsOf, sinceMs: shop.placesFromMs ?? ctx.nowMs, nowMs: ctx.nowMs }
      const bench = benchTime(stays, { ...asked, isBench: onBench, limitC, decided: decidedOn('bench_long') })
      const breaches = [
        ...breachesOf(warmthLines(cold, readingsOf), { saltOnly: lot.saltOnly, limitC, decided, hungC }),
        ...unreadStretches(cold, {
          ...asked,
          saltOnly: lot.saltOnly,
          placeOf: placeId => places.get(placeId),
          decidedMs: decidedOn('place_not_shown').map(one => one.toMs),
        }).map(one => ({ ...one, reason: 'place_not_shown' as const, worstC: null })),
        ...(bench && bench.lastedMs > BENCH_CHECKS.holdMs
          ? [{ ...bench, reason: 'bench_long' as const, worstC: bench.warmestC }]
          : []),
      ]
      return breaches.map(({ reason, placeId, fromMs, toMs, worstC }) => ({
        reason,
        about: places.get(placeId)?.code ?? String(placeId),
        pieces: ids,
        // The figures as the table keeps them.
        fromMs: Math.round(fromMs),
        toMs: toMs === null ? null : Math.round(toMs),
        worst: worstC,
      }))
    })
    await holdPlaces(ctx, lot, found, mine, tree)
    isWarm ||= found.length > 0
  }
  return isWarm
}
