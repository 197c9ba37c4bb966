import { duplicateOf } from '../../db/line/duplicate'
import type { Store } from '../../db/database'
import { refuse, type Answer, type WriteContext, type Writer } from '../context'
import { appendEvents } from './append-events'
import { entriesOf } from './record-event'
import { ClockAsked } from './clock'

export interface WriteRequest {
  /** Made by the client, once for one press of a button, however often it is sent. */
  clientKey: string
  /** Digest of what was sent, to tell a repeat from a mistake. */
  requestHash: string
  /** The answer is a secret and is not kept. */
  shownOnce?: boolean | undefined
}

/** True where the same was sent before: nothing new was written. */
interface Repeated {
  repeated?: true
}

class RolledBack extends Error {
  constructor(readonly answer: Extract<Answer<never>, { ok: false }>) {
    super('rolled back')
  }
}

/**
 * Runs a write in one transaction under its client key. Sent twice, or five times at once, it is stored once and every
 * sender gets the first answer. A refusal rolls everything back and keeps the key free for the corrected try.
 */
export async function writeOnce<T>(
  store: Store,
  request: WriteRequest,
  writer: Writer,
  write: (ctx: WriteContext) => Promise<Answer<T>>,
): Promise<Answer<T & { eventId: number | null }> & Repeated> {
  try {
    const value = await store.transaction(async (tables) => {
      const ctx: WriteContext = { ...writer, tables, entries: [] }
      // The key goes first, and is not waited for: of two that are the same, the later stands still there.
      const [kept, done] = await Promise.allSettled([
        tables.answers.insert({
          clientKey: request.clientKey,
          userId: writer.actor.id,
          requestHash: request.requestHash,
        }),
        (async () => await write(ctx))(),
      ])
      if (kept.status === 'rejected') throw kept.reason
      if (done.status === 'rejected') throw done.reason
      const [answerId, answer] = [kept.value, done.value]
      if (!answer.ok) throw new RolledBack(answer)
      const { value } = answer
      const eventId = await appendEvents(tables, writer, entriesOf(ctx), id =>
        tables.answers.update(answerId, {
          answer: request.shownOnce ? { shownOnce: true } : { ...value, eventId: id },
        }),
      )
      return { ...value, eventId }
    })
    return { ok: true, value }
  }
  catch (error) {
    if (error instanceof RolledBack) return error.answer
    if (error instanceof ClockAsked) return error.refusal
    const duplicate = duplicateOf(error)
    // Two voids of one record at the same moment: the table lets one through.
    if (duplicate?.startsWith('voids')) return refuse('already_voided')
    if (duplicate === null || !duplicate.includes('client_key')) throw error
    const first = await store.tables.answers.one({ clientKey: request.clientKey })
    if (!first || first.userId !== writer.actor.id || first.requestHash !== request.requestHash) {
      return refuse('key_reused')
    }
    if (request.shownOnce) return refuse('shown_once')
    return { ok: true, value: first.answer as T & { eventId: number | null }, repeated: true }
  }
}
