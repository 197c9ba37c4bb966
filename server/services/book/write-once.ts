import type { Store } from '../../db/store'
import type { Answer, WriteContext } from '../context'
import { refuse } from '../context'

export interface WriteRequest {
  /** Made by the client, once for one press of a button, however often it is sent. */
  clientKey: string
  /** Digest of what was sent, to tell a repeat from a mistake. */
  requestHash: string
}

class RolledBack extends Error {
  constructor(readonly answer: Extract<Answer<never>, { ok: false }>) { super('rolled back') }
}

const isDuplicateKey = (error: unknown): boolean =>
  (error as { name?: string }).name === 'SequelizeUniqueConstraintError'
  && JSON.stringify((error as { fields?: unknown }).fields ?? '').includes('client_key')

/**
 * Runs a write in one transaction under its client key. Sent twice, or five times at once, it is stored once and every
 * sender gets the first answer. A refusal rolls everything back and keeps the key free for the corrected try.
 */
export async function writeOnce<T>(
  store: Store, request: WriteRequest, ctx: Omit<WriteContext, 'tables'>,
  write: (ctx: WriteContext) => Promise<Answer<T>>,
): Promise<Answer<T>> {
  try {
    return await store.transaction(async (tables) => {
      const answerId = await tables.answers.insert({
        clientKey: request.clientKey, userId: ctx.actor.id, requestHash: request.requestHash,
      })
      const answer = await write({ ...ctx, tables })
      if (!answer.ok) throw new RolledBack(answer)
      await tables.answers.update(answerId, { answer: answer.value ?? {} })
      return answer
    })
  }
  catch (error) {
    if (error instanceof RolledBack) return error.answer
    if (!isDuplicateKey(error)) throw error
    const first = await store.tables.answers.one({ clientKey: request.clientKey })
    if (!first || first.userId !== ctx.actor.id || first.requestHash !== request.requestHash) {
      return { ...refuse('key_reused'), status: 409 }
    }
    return { ok: true, value: first.answer as T }
  }
}
