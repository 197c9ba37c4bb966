import type { Tables } from '../../db/database'

/** Accounts kept, the longest unused dropped first. */
const MOST_KEPT = 60

interface Kept<T> {
  /** The last record that speaks of the account. */
  version: number
  value: T
}

/**
 * What was worked out for an ingredient lot, kept from one look to the next while no new record speaks of it: every
 * press that touches a lot names its code. A write never goes by it.
 */
export class KeptAccounts<T> {
  private readonly ofStore = new WeakMap<Tables, Map<string, Kept<T>>>()

  async of<L extends { id: number; code: string }>(
    tables: Tables,
    lots: readonly L[],
    read: (lots: L[]) => Promise<Map<number, T>>,
  ): Promise<Map<number, T>> {
    if (tables.book.isWrite || lots.length === 0) return read([...lots])
    const kept = this.ofStore.get(tables) ?? new Map<string, Kept<T>>()
    this.ofStore.set(tables, kept)
    const versions = await versionsOf(tables, lots)
    const hit = new Map(
      lots.flatMap((lot) => {
        const one = kept.get(lot.code)
        return one && one.version === (versions.get(lot.code) ?? 0) ? [[lot.id, one.value] as const] : []
      }),
    )
    const found = await read(lots.filter(lot => !hit.has(lot.id)))
    for (const lot of lots) {
      kept.delete(lot.code)
      kept.set(lot.code, { version: versions.get(lot.code) ?? 0, value: (hit.get(lot.id) ?? found.get(lot.id))! })
    }
    for (const code of kept.keys()) {
      if (kept.size <= MOST_KEPT) break
      kept.delete(code)
    }
    return new Map([...hit, ...found])
  }
}

/** The number of the last record about each, by its code. */
async function versionsOf(tables: Tables, lots: readonly { code: string }[]): Promise<Map<string, number>> {
  const last = await tables.eventSubjects.pickEach(['code', 'eventId'], {
    wheres: lots.map(({ code }) => ({ code })),
    first: { order: [['eventId', 'DESC']], limit: 1 },
  })
  return new Map(last.map(row => [row.code, row.eventId]))
}
