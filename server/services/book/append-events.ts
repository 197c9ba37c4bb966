import { lastOf } from '#core/lists/last-of'
import type { Milliseconds } from '#core/units/quantities'
import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import { chainText } from '#core/book/chain-text'
import { withTells } from '#core/book/tells'
import { walkChain } from '#core/book/walk-chain'
import { sha256 } from '../../digest/sha256'
import { indexFits } from '../../db/readers/book-reader'
import type { Tables } from '../../db/database'
import type { NewEvent, Writer } from '../context'
import { settle } from '../finish/settle'
import { askAboutClock } from './clock'

/** Writers wait for each other and their clocks differ a little; more than this is a clock that was set back. */
export const CLOCK_SLACK_MS = 60_000

/** Records as the book keeps them, from a number on, each sealed with the one before. */
function rowsOf(
  writer: Writer,
  entries: readonly NewEvent[],
  from: { id: number; hash: string },
  more: { clockBehindMs: Milliseconds | null; touched: string | null },
) {
  let hash = from.hash
  return entries.map((entry, i) => {
    const row = {
      id: from.id + i,
      kind: entry.kind,
      userId: writer.actor.id,
      who: writer.actor.name,
      station: writer.station,
      atMs: writer.nowMs,
      zone: writer.zone,
      arithmetic: ARITHMETIC_VERSION,
      typed: JSON.stringify(entry.typed),
      computed: JSON.stringify(withTells(entry.computed ?? {}, entry)),
      reason: entry.reason ?? null,
      subjects: JSON.stringify([...new Set(entry.subjects)]),
      voidsId: entry.voidsId ?? null,
      clockBehindMs: more.clockBehindMs,
      // A press writes its rows together: the last of its records seals them all.
      touched: i === entries.length - 1 ? more.touched : null,
    }
    hash = sha256(chainText(hash, row))
    return { ...row, hash }
  })
}

/** Steps learn which record told of them, holds which took their ground away; the record itself says so under its seal. */
const numberSteps = (tables: Tables, entries: readonly NewEvent[], first: number): Promise<unknown> =>
  Promise.all(
    entries.flatMap(({ steps = [], endsSteps = [], changesHolds = [] }, i) => [
      tables.steps.update(steps, { eventId: first + i }),
      tables.steps.update(endsSteps, { endEventId: first + i }),
      tables.holds.update(changesHolds, { changedEventId: first + i }),
    ]),
  )

/**
 * Chains records onto the book, and with them the digests of every row that this transaction wrote. The head's row
 * stays locked until the transaction ends, so that writers in any number of processes make one chain; it is taken last
 * and briefly. `besides` is written along with them, told the number of the first. Each record is read back as a walk
 * reads it before it counts as written. Returns the number of the first, null when there is none.
 */
export async function appendEvents(
  tables: Tables,
  writer: Writer,
  entries: readonly NewEvent[],
  besides: (eventId: number | null) => Promise<void> = () => Promise.resolve(),
): Promise<number | null> {
  if (entries.length === 0) {
    if (tables.book.isTouched()) throw new Error('the shop was changed without a record of it')
    await besides(null)
    return null
  }
  await settle(tables, writer.nowMs)
  const touched = await tables.book.touchedText()
  const head = await tables.book.lockHead()
  askAboutClock(writer, head)
  const behindMs = head.lastAtMs - writer.nowMs
  // A number that a stranger's row has taken is stepped over, or nothing could be written any more.
  const first = head.strangers ? await tables.book.firstFree(head.lastId) : head.lastId + 1
  const rows = rowsOf(
    writer,
    entries,
    { id: first, hash: head.hash },
    { clockBehindMs: behindMs > CLOCK_SLACK_MS ? behindMs : null, touched },
  )
  // Sent one behind the other without waiting, so that the head is let go sooner.
  const [, , , , , { stored, headHash }] = await Promise.all([
    tables.events.insertMany(rows.map(({ touched: _apart, ...row }) => row)),
    tables.eventSubjects.insertMany(
      rows.flatMap(row => (JSON.parse(row.subjects) as string[]).map(code => ({ eventId: row.id, code }))),
    ),
    tables.eventRows.insertMany(
      rows.flatMap(row => (row.touched === null ? [] : [{ eventId: row.id, touched: row.touched }])),
    ),
    besides(first),
    numberSteps(tables, entries, first),
    tables.book.readBack(first, lastOf(rows).id),
  ])
  if (headHash !== lastOf(rows).hash)
    throw new Error(
      'the head of the book did not move: start with "npm start" and the owner\'s address, which sets its guard',
    )
  const { at, breaks } = walkChain({ id: first - 1, hash: head.hash }, stored, sha256)
  if (breaks.length > 0 || at.hash !== lastOf(rows).hash || !stored.every(indexFits))
    throw new Error(`record ${first} is not stored as it was sent: nothing of it was kept`)
  return first
}
