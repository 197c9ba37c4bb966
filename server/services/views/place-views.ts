import { groupBy } from '#core/lists/group-by'
import { takesMeat, usesOf } from '#core/places/place-kind'
import type { Milliseconds } from '#core/units/quantities'
import { PLACE_SHOWN, type PlaceBrief, type PlaceSetUp, type PlaceView } from '#shared/contracts/places'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { places } from '../../db/tables/places'
import { present, since } from '../../db/schema/where'
import type { MarkAt } from '../instruments/marks'

export const placeBrief = (place: RowOf<typeof places>): PlaceBrief => ({
  id: place.id,
  code: place.code ?? '',
  name: place.name,
  kind: place.kind,
  uses: usesOf(place),
  inUse: place.inUse,
})

/** Places in use where meat is laid by hand, the cold ones first. */
export async function placeBriefs(tables: Tables): Promise<PlaceBrief[]> {
  const rows = await tables.places.find({ inUse: true }, { order: [['id', 'ASC']] })
  const briefs = rows.filter(takesMeat).map(placeBrief)
  return briefs.toSorted((a, b) => Number(b.uses.includes('cold')) - Number(a.uses.includes('cold')))
}

/** Every place as the Office keeps it. */
export async function placeSetUps(tables: Tables): Promise<PlaceSetUp[]> {
  return (await tables.places.find({}, { order: [['id', 'ASC']] })).map(place => ({ ...place, ...placeBrief(place) }))
}

/** Places in use with what the floor shows of their readings: the last temperatures and, of a hygrometer, humidities. */
export async function placeViews(tables: Tables, markAt: MarkAt, nowMs: Milliseconds): Promise<PlaceView[]> {
  const places = await tables.places.find({ inUse: true }, { order: [['id', 'ASC']] })
  const atMs = since(nowMs - PLACE_SHOWN.forMs)
  const found = await tables.placeReadings.pickEach(['placeId', 'atMs', 'tempC', 'rh', 'offsetC', 'thermometerId'], {
    wheres: places.flatMap(({ id: placeId, hygrometerId }) => [
      { placeId, atMs, tempC: present },
      ...(hygrometerId === null ? [] : [{ placeId, atMs, rh: present }]),
    ]),
    first: { order: [['atMs', 'DESC']], limit: PLACE_SHOWN.readings },
  })
  const once = [...new Map(found.map(reading => [reading.id, reading])).values()]
  const readings = groupBy(once.toSorted((a, b) => a.atMs - b.atMs || a.id - b.id), reading => reading.placeId)
  return places.map(place => ({
    ...placeBrief(place),
    thermometerId: place.thermometerId,
    hygrometerId: place.hygrometerId,
    targetC: place.targetC,
    targetRh: place.targetRh,
    shelves: place.shelves,
    hooks: place.hooks,
    readings: (readings.get(place.id) ?? []).map(({ id: readingId, atMs, tempC, rh, offsetC, thermometerId }) => ({
      id: readingId,
      atMs,
      tempC,
      rh,
      offsetC,
      instrument: markAt(thermometerId, atMs),
    })),
  }))
}
