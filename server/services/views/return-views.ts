import { byId } from '#core/lists/by-id'
import { atKey } from '#core/lists/at-key'
import type { ReturnView } from '#shared/contracts/returns'
import type { Tables } from '../../db/database'

/** The last return of each pack of a lot that came back, by the pack's id. */
export async function returnViews(tables: Tables, lotId: number): Promise<Map<number, ReturnView>> {
  const rows = await tables.packReturns.find({ lotId }, { order: [['id', 'ASC']] })
  if (rows.length === 0) return new Map()
  // A sending that a pack came back from may have been taken back itself.
  const sent = await tables.dispatches.find({ id: rows.map(row => row.dispatchId) }, { withVoided: true })
  const [customers, places] = await Promise.all([
    tables.parties.pick(['name'], { id: sent.map(one => one.customerId) }),
    tables.places.pick(['name'], { id: rows.flatMap(row => row.placeId ?? []) }),
  ])
  const partyOf = byId(customers, 'customer')
  const customerOf = new Map(sent.map(one => [one.id, partyOf(one.customerId).name]))
  const placeOf = new Map(places.map(place => [place.id, place.name]))
  return new Map(
    rows.map(({ id, packId, dispatchId, atMs, reason, placeId, disposition, dispositionText }) => [
      packId,
      {
        id,
        atMs,
        from: atKey(customerOf, dispatchId),
        reason,
        place: placeId === null ? null : atKey(placeOf, placeId),
        disposition,
        text: dispositionText,
      },
    ]),
  )
}
