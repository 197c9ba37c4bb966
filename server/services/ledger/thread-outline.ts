import type { OutlineRow, ThreadOutline } from '#shared/contracts/thread'
import type { Tables } from '../../db/database'

/** More lots than this are told in lists: the lines of their packs would be hundreds. House. */
export const LOTS_DRAWN = 8

/**
 * The lots of a thread, newest first, and who has how many packs of them, most first. No gram is counted twice or left
 * out.
 */
export async function threadOutline(tables: Tables, lotIds: readonly number[]): Promise<ThreadOutline> {
  const [lots, held, { byLot, byCustomer }] = await Promise.all([
    tables.lots.pick(['code', 'cut'], { id: lotIds }, { order: [['id', 'DESC']] }),
    tables.holds.pick(['lotId'], { lotId: lotIds, disposition: null }),
    tables.thread.packTotalsOf(lotIds),
  ])
  const parties = await tables.parties.pick(['name'], { id: byCustomer.flatMap(row => row.id ?? []) })
  const names = new Map(parties.map(party => [party.id, party.name]))
  const [ofLot, heldLots] = [new Map(byLot.map(row => [row.id, row])), new Set(held.map(hold => hold.lotId))]
  const none = { packs: 0, massG: 0 }
  const sums = ({ packs, massG } = none) => ({ packs, massG })
  return {
    lots: lots.map((lot): OutlineRow => ({
      code: lot.code,
      title: lot.cut,
      held: heldLots.has(lot.id),
      ...sums(ofLot.get(lot.id)),
    })),
    customers: byCustomer
      .flatMap((row): OutlineRow[] =>
        row.id === null ? [] : [{ code: `party-${row.id}`, title: names.get(row.id)!, held: false, ...sums(row) }],
      )
      .toSorted((a, b) => b.massG - a.massG),
    unsent: sums(byCustomer.find(row => row.id === null)),
  }
}
