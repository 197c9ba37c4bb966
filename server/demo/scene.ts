import { atKey } from '#core/lists/at-key'
import type { Milliseconds } from '#core/units/quantities'
import { addDays, instantOf, localDay } from '#core/calendar/local-day'
import type { Store } from '../db/database'
import { entriesOf } from '../services/book/record-event'
import { appendEvents } from '../services/book/append-events'
import type { Answer, WriteContext } from '../services/context'

type Write<T> = (ctx: WriteContext) => Promise<Answer<T>>
interface Action {
  atMs: Milliseconds
  who: number
  station: string
  run: (ctx: WriteContext) => Promise<void>
}

/** A sequence of records on the shop's clock, played in order of time through the same services as real ones. */
export class Scene {
  private readonly actions: Action[] = []
  readonly codes = new Map<string, string>()

  constructor(
    readonly nowMs: Milliseconds,
    readonly zone: string,
  ) {}

  /** Days from today and a clock time, as an instant. */
  at(day: number, time: string): number {
    return instantOf(addDays(localDay(this.nowMs, this.zone), day), time, this.zone)
  }

  day(day: number): string {
    return addDays(localDay(this.nowMs, this.zone), day)
  }

  code(name: string): string {
    const code = this.codes.get(name)
    if (!code) throw new Error(`the demo uses ${name} before it exists`)
    return code
  }

  /** Plans a write; what lies in the future is left out. `name` remembers the code that the answer carries. */
  add<T>(atMs: Milliseconds, who: number, write: Write<T>, name?: string, station = 'Cold-room tablet'): void {
    if (atMs > this.nowMs) return
    this.actions.push({
      atMs,
      who,
      station,
      run: async (ctx) => {
        const answer = await write(ctx)
        if (!answer.ok)
          throw new Error(`demo record ${name ?? ''} refused: ${answer.code} ${JSON.stringify(answer.params ?? {})}`)
        const { code } = (answer.value ?? {}) as { code?: string }
        if (name && code) this.codes.set(name, code)
      },
    })
  }

  async play(store: Store): Promise<number> {
    const inOrder = this.actions.toSorted((a, b) => a.atMs - b.atMs)
    const names = new Map((await store.tables.users.find()).map(user => [user.id, user.name]))
    await store.transaction(async (tables) => {
      for (const { atMs, who, station, run } of inOrder) {
        const writer = {
          actor: { id: who, role: 'owner' as const, name: atKey(names, who) },
          station,
          nowMs: atMs,
          zone: this.zone,
          clockRight: true,
        }
        const ctx: WriteContext = { ...writer, tables, entries: [] }
        await run(ctx)
        await appendEvents(tables, writer, entriesOf(ctx))
      }
    }, { alone: true })
    return inOrder.length
  }
}
