import { foldStanding } from '#core/life/fold-standing'
import type { PieceLife } from '#core/life/fold'
import { pieceTree } from '#core/life/parts'
import { groupBy } from '#core/lists/group-by'
import type { BreachOf } from '#core/places/covered'
import { warmthLines, type PlaceReading } from '#core/places/lines'
import { breachesOf } from '#core/places/warmth'
import { HANG_CHECKS } from '#core/rules/house'
import { coldLimitC } from '#core/places/place-verdict'
import { MS_PER_DAY } from '#core/units/quantities'
import { isLeaf } from '../../db/tables/which-pieces'
import { present, since } from '../../db/where'
import type { WriteContext } from '../context'
import { holdPlaces, heldAbout, placeHolds } from '../holds/hold-places'
import { standingSteps } from '../life/standing-steps'
import { theShop } from '../office/office'
import type { LyingLot } from './lots-that-lay'

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
 * pieces that lay too warm. A decision covers what it was made on; no hold is lifted here. The lots get locked, in order
 * of id. True when some piece lay too warm for too long.
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
  const codes = new Map((await tables.places.pick(['code', 'name', 'targetC'], {})).map(place => [place.id, place]))
  const hungC = (placeId: number) => codes.get(placeId)?.targetC ?? HANG_CHECKS.usualC
  let isWarm = false
  for (const lot of lots) {
    const mine = holds.get(lot.id) ?? []
    const all = lives.get(lot.id)!
    const tree = pieceTree(all.map(({ pieceId: id, parentId }) => ({ id, parentId })))
    // A part has all behind it where it was cut from lay.
    const alike = groupBy(all.filter(isLeaf), piece => JSON.stringify(piece.stays))
    const found = [...alike.values()].flatMap((pieces): BreachOf[] => {
      const ids = pieces.map(piece => piece.pieceId)
      const lines = warmthLines(pieces[0]!.stays, placeId => readings.get(placeId) ?? [])
      const decided = mine
        .filter(hold => hold.disposition !== null)
        .map(hold => heldAbout(hold, tree))
        .filter(about => about.pieces === null || ids.every(id => about.pieces!.includes(id)))
        .flatMap(({ fromMs, toMs }) => (toMs === null ? [] : [{ fromMs: fromMs ?? -Infinity, toMs }]))
      return breachesOf(lines, { saltOnly: lot.saltOnly, limitC: coldLimitC(shop.ruleSetId), decided, hungC }).map(
        ({ reason, placeId, fromMs, toMs, worstC }) => ({
          reason,
          about: codes.get(placeId)?.code ?? String(placeId),
          pieces: ids,
          // As the table keeps them.
          fromMs: Math.round(fromMs),
          toMs: Math.round(toMs),
          worst: worstC,
        }),
      )
    })
    await holdPlaces(ctx, lot, found, mine, tree)
    isWarm ||= found.length > 0
  }
  return isWarm
}
