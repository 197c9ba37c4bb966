import { touchedText } from '#core/book/touched'
import type { BookAccess } from '../../../server/db/readers/book-access'
import type { BookReading } from '../../../server/db/readers/book-reader'
import { snake, type Columns, type TableSpec } from '../../../server/db/schema/table-spec'
import type { Rows } from './memory-table'
import { digestOf, type Row } from './values'

type TableOf = (name: string) => Rows
/** Readings longer than this are left out of lists, as `book-access.ts` has it. */
const LONG_BYTES = 6000

/** A record as a walk reads it. */
function readingOf(event: Row, table: TableOf): BookReading {
  const codes = [...table('event_subjects').all().values()]
    .filter(row => row.eventId === event.id)
    .map(row => JSON.stringify(row.code))
  const seal = [...table('event_rows').all().values()].find(row => row.eventId === event.id)
  return { ...event, touched: seal?.touched ?? null, indexed: codes.toSorted().join(',') } as never
}

/** What `book-access.ts` does by SQL, over maps. `nowMs` is the database's own clock. */
export function memoryBook(
  specs: ReadonlyMap<string, TableSpec<Columns>>,
  table: TableOf,
  isWrite: boolean,
  nowMs: () => number,
): BookAccess {
  const touched = new Map<string, Map<number, string | null>>()
  const head = () => table('book_head').all().get(1)!
  return {
    isWrite,
    touch: (name, rows) => {
      const known = touched.get(name) ?? new Map<number, string | null>()
      for (const { id, digest } of rows) known.set(id, digest)
      touched.set(name, known)
    },
    touchedIds: name => [...(touched.get(snake(name))?.keys() ?? [])],
    mayEnd: new Set(),
    isTouched: () => touched.size > 0,
    touchedText: async () => {
      const tables = [...touched]
      touched.clear()
      if (tables.length === 0) return null
      return touchedText(
        new Map(
          tables.map(([name, rows]) => [
            name,
            new Map([...rows].map(([id, digest]) => [id, digest ?? digestOf(specs.get(name)!, table(name).all().get(id)!)])),
          ]),
        ),
      )
    },
    lockHead: async () => {
      const end = head() as never as { lastId: number; hash: string; lastAtMs: number }
      const strangers = [...table('events').all().keys()].some(id => id > end.lastId)
      return { ...end, databaseMs: nowMs(), strangers: Number(strangers) }
    },
    readBack: async (firstId, lastId) => ({
      stored: [...table('events').all().values()]
        .filter(event => event.id >= firstId && event.id <= lastId)
        .map(event => readingOf(event, table)),
      headHash: head().hash as string,
    }),
    texts: async ids =>
      ids.map((id) => {
        const { kind, typed, computed } = table('events').all().get(id) as Row & { typed: string; computed: string }
        const typedBytes = Buffer.byteLength(typed)
        const isLong = kind === 'run_read' && typedBytes > LONG_BYTES
        const readings = isLong ? ((JSON.parse(typed) as { readings?: unknown[] }).readings?.length ?? null) : null
        return { id, typed: isLong ? null : typed, typedBytes, readings, computed }
      }),
    firstFree: async (afterId) => {
      let id = afterId + 1
      while (table('events').all().has(id)) id += 1
      return id
    },
  }
}
