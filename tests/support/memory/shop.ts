import type { Store } from '../../../server/db/database'
import { loadDemo } from '../../../server/demo/load-demo'
import { writeOnce } from '../../../server/services/book/write-once'
import type { Answer, WriteContext } from '../../../server/services/context'
import { memoryStore, type Kept } from './memory-store'

/** The demo shop as it opens at an instant: laid once a file of tests, each shop goes on from it. */
const laid = new Map<number, Promise<Kept>>()
async function layDemo(nowMs: number): Promise<Kept> {
  const store = memoryStore(() => nowMs)
  await loadDemo(store, nowMs)
  return store.keep()
}

/** The demo shop in memory, its clock in the test's hand: services in milliseconds. */
export class MemoryShop {
  private keys = 0

  private constructor(
    readonly store: Store,
    readonly owner: { id: number; role: 'owner'; name: string },
    public nowMs: number,
  ) {}

  static async open(nowMs = Date.UTC(2026, 5, 17, 16)): Promise<MemoryShop> {
    const kept = laid.get(nowMs) ?? layDemo(nowMs)
    laid.set(nowMs, kept)
    const store = memoryStore(() => nowMs, await kept)
    const { id, name } = (await store.tables.users.one({ signIn: 'marit' }))!
    return new MemoryShop(store, { id, name, role: 'owner' }, nowMs)
  }

  get tables() {
    return this.store.tables
  }

  /** Places are read by nobody here, and nothing is held for it. */
  askNoReadings(): Promise<void> {
    return this.store.transaction(async tables => tables.shops.update((await tables.shops.one({}))!.id, { placesFromMs: null }))
  }

  /** A press of a button, under a key of its own unless one is given. */
  press<T>(
    work: (ctx: WriteContext) => Promise<Answer<T>>,
    { clientKey = `press ${(this.keys += 1)}`, requestHash = 'as sent', userId = this.owner.id } = {},
  ) {
    const writer = {
      actor: { ...this.owner, id: userId },
      station: 'tablet',
      nowMs: this.nowMs,
      zone: 'America/Chicago',
      clockRight: true,
    }
    return writeOnce(this.store, { clientKey, requestHash }, writer, work)
  }
}
