import { groupBy } from '#core/lists/group-by'
import { isBench } from '#core/places/place-kind'
import { UNREAD } from '#core/rules/house'
import type { Milliseconds } from '#core/units/quantities'
import type { Store, Tables } from '../../db/database'
import { present } from '../../db/schema/where'
import { inBook } from '../book/in-book'
import { ownWriter } from '../own-writer'
import { judgePlaces } from '../judging/judge-places'

/** Lots in one transaction: a press waits no longer than for these. */
const AT_ONCE = 10
const LOOKED_AT = ['code', 'saltOnly'] as const

/** Lots that are not finished, with pieces on a bench or where nobody read for as long as holds the soonest. */
async function unreadLots(tables: Tables, nowMs: Milliseconds) {
  const open = await tables.lots.pick([], { finishedAtMs: null })
  if (open.length === 0) return []
  const lying = (await tables.pieces.pick(['lotId', 'placeId', 'goneAtMs'], { lotId: open.map(lot => lot.id) })).filter(
    piece => piece.placeId !== null && piece.goneAtMs === null,
  )
  const placeId = [...new Set(lying.map(piece => piece.placeId!))]
  const [places, last] = await Promise.all([
    tables.places.pick(['kind', 'can'], { id: placeId }),
    tables.placeReadings.pickEach(['placeId', 'atMs'], {
      wheres: placeId.map(id => ({ placeId: id, tempC: present })),
      first: { order: [['atMs', 'DESC']], limit: 1 },
    }),
  ])
  const readAtMs = new Map(last.map(reading => [reading.placeId, reading.atMs]))
  const asked = new Set(
    places
      .filter(place => isBench(place) || nowMs - (readAtMs.get(place.id) ?? -Infinity) > UNREAD.saltOnly.holdMs)
      .map(place => place.id),
  )
  const lots = groupBy(lying.filter(piece => asked.has(piece.placeId!)), piece => piece.lotId)
  return [...lots.keys()].toSorted((a, b) => a - b)
}

/**
 * Holds what lies where nobody read for too long, or out on a bench: no press comes when nothing is done, so the clock
 * looks. Several processes may look at once, and twice holds nothing twice. Answers with how many lots it judged.
 */
export async function lookAtUnread(store: Store, nowMs: Milliseconds): Promise<number> {
  const writer = await ownWriter(store.tables, 'by the clock', nowMs)
  if (!writer) return 0
  const ids = await unreadLots(store.tables, nowMs)
  for (let from = 0; from < ids.length; from += AT_ONCE)
    await inBook(store, writer, async (ctx) => {
      const some = ids.slice(from, from + AT_ONCE)
      const lots = await ctx.tables.lots.pick(LOOKED_AT, { id: some, finishedAtMs: null }, { order: [['id', 'ASC']], lock: true })
      await judgePlaces(ctx, lots)
    })
  return ids.length
}
