import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import { chainText } from '#core/book/chain-text'
import { sha256 } from '../../digest/sha256'
import type { Tables } from '../../db/store'
import type { NewEvent, Writer } from '../context'

/** Writers wait for each other and their clocks differ a little; more than this is a clock that was set back. */
export const CLOCK_SLACK_MS = 60_000

/**
 * Chains records onto the book. The head's row stays locked until the transaction ends, so that writers in any number of
 * processes make one chain; it is taken last and briefly. `besides` is written along with them, told the number of the first.
 * Returns that number, null when there is none.
 */
export async function appendEvents(
  tables: Tables, writer: Writer, entries: readonly NewEvent[], besides: (eventId: number | null) => Promise<void> = () => Promise.resolve(),
): Promise<number | null> {
  if (entries.length === 0) {
    await besides(null)
    return null
  }
  const head = await tables.bookHead.one({ id: 1 }, { lock: true })
  if (!head) throw new Error('the book has no head')
  const behindMs = head.lastAtMs - writer.nowMs
  let hash = head.hash
  const rows = entries.map((entry, i) => {
    const row = {
      id: head.lastId + 1 + i, kind: entry.kind, userId: writer.actor.id, who: writer.actor.name, station: writer.station,
      atMs: writer.nowMs, zone: writer.zone, arithmetic: ARITHMETIC_VERSION,
      typed: JSON.stringify(entry.typed), computed: JSON.stringify(entry.computed ?? {}), reason: entry.reason ?? null,
      subjects: JSON.stringify([...new Set(entry.subjects)]), voidsId: entry.voidsId ?? null,
      clockBehindMs: behindMs > CLOCK_SLACK_MS ? behindMs : null,
    }
    hash = sha256(chainText(hash, row))
    return { ...row, hash }
  })
  // Only this may wait for another writer, and so be thrown back by a deadlock. Whatever was sent behind it would then stand alone.
  await tables.events.insertMany(rows)
  // The rest touches what is locked already. Sent one behind the other without waiting, so that the head is let go sooner.
  await Promise.all([
    tables.eventSubjects.insertMany(rows.flatMap(row => (JSON.parse(row.subjects) as string[]).map(code => ({ eventId: row.id, code })))),
    tables.bookHead.update(head.id, { lastId: rows.at(-1)!.id, hash, lastAtMs: writer.nowMs }),
    besides(rows[0]!.id),
  ])
  return rows[0]!.id
}
