import type { Store } from '../../db/database'
import { keepState } from '../steps/keep-state'
import { lockRows } from '../lock-rows'

/** Lots in one transaction: a press waits no longer than for these. */
const AT_ONCE = 20

/**
 * Looks at lots that nobody looked at since a new version knows more of them: how many of their steps contradict each
 * other, of lots that are not finished. Nothing is judged here, and no record tells of it: what is kept follows from the
 * steps alone. Runs while the shop does; twice does nothing. Answers with how many lots it looked at.
 */
export async function lookAgain(store: Store): Promise<number> {
  const unseen = { contradictions: null, finishedAtMs: null }
  for (let seen = 0; ;) {
    const lots = await store.tables.lots.pick([], unseen, { order: [['id', 'ASC']], limit: AT_ONCE })
    if (lots.length === 0) return seen
    await store.transaction(async (tables) => {
      await lockRows(tables, { lots: lots.map(lot => lot.id) })
      for (const lot of lots) await keepState(tables, lot.id)
    })
    seen += lots.length
  }
}
