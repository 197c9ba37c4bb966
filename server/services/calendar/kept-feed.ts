import { MS_PER_MINUTE, type Milliseconds } from '#core/units/quantities'
import type { Tables } from '../../db/database'

/** The day goes on while nobody records: what is coming is worked out anew after this. */
const FRESH_FOR_MS = 5 * MS_PER_MINUTE
/** Ways of writing figures that are kept beside each other. */
const MOST_KEPT = 20

interface Kept {
  lastId: number
  atMs: Milliseconds
  text: Promise<string>
}
const kept = new Map<string, Kept>()

/**
 * A text worked out once for everybody who asks for the same, until something is recorded or minutes have gone by: twenty
 * phones that ask at the same moment cost as much as one. `key` names all that the text depends on beside the book.
 */
export async function keptFeed(
  tables: Tables,
  key: string,
  nowMs: Milliseconds,
  workOut: () => Promise<string>,
): Promise<string> {
  const { lastId } = await tables.bookHead.the({ id: 1 })
  const known = kept.get(key)
  if (known && known.lastId === lastId && Math.abs(nowMs - known.atMs) < FRESH_FOR_MS) return await known.text
  const text = workOut()
  kept.delete(key)
  kept.set(key, { lastId, atMs: nowMs, text })
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!)
  text.catch(() => kept.delete(key))
  return await text
}
