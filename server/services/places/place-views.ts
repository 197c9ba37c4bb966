import { takesMeat, usesOf } from '#core/places/place-kind'
import type { PlaceBrief, PlaceSetUp } from '#shared/contracts/places'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/table-spec'
import type { places } from '../../db/tables/places'

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
