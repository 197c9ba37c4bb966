import { groupBy } from '#core/lists/group-by'
import { JUDGED_BY } from '#core/rules/judged-by'
import type { Milliseconds } from '#core/units/quantities'
import type { HoldReason } from '#shared/contracts/holds'
import type { Store, Tables } from '../../db/database'
import { inBook } from '../book/in-book'
import { recordEvent } from '../book/record-event'
import type { WriteContext } from '../context'
import { lockRows } from '../lock-rows'
import { rejudge } from '../judging/rejudge'
import { ownWriter } from '../own-writer'

/** Lots in one transaction: a press waits no longer than for these. */
const AT_ONCE = 5

/** Reasons for which these lots are newly held by what was just written. */
const newlyHeld = ({ entries }: WriteContext): { code: string; reasons: HoldReason[] }[] =>
  [...groupBy(entries.flatMap(one => (one.kind === 'held' ? [one] : [])), one => one.subjects[0]!)].map(([code, some]) => ({
    code,
    reasons: [...new Set(some.map(one => one.computed.reason))],
  }))

/** Unfinished lots that other rules judged last. */
const byOtherRules = async (tables: Tables, where: { id?: number[] } = {}) =>
  (await tables.lots.pick(['code', 'judgedBy'], { finishedAtMs: null, ...where }, { order: [['id', 'ASC']] })).filter(
    lot => lot.judgedBy !== JUDGED_BY,
  )

/** Judges lots of one transaction, as far as nobody else did meanwhile. */
async function judgeSome(ctx: WriteContext, ids: readonly number[]): Promise<void> {
  await lockRows(ctx.tables, { lots: ids })
  const lots = await byOtherRules(ctx.tables, { id: [...ids] })
  for (const lot of lots) {
    await rejudge(ctx, lot.id, { again: false })
    await ctx.tables.lots.update(lot.id, { judgedBy: JUDGED_BY })
  }
  for (const [from, some] of groupBy(lots, lot => lot.judgedBy)) {
    const codes = some.map(lot => lot.code)
    recordEvent(ctx, {
      kind: 'rules_changed',
      subjects: codes,
      typed: {},
      computed: { rule: 'lots_judged', from, to: JUDGED_BY, held: newlyHeld(ctx).filter(({ code }) => codes.includes(code)) },
    })
  }
}

/**
 * Judges lots that are not finished by the rules of this version, once each and on record: what newly breaks one is
 * held, with whose rules they are; decisions that were made stand. Finished lots keep their verdict. Runs while the
 * shop does, in several processes at once if need be. A lot that cannot be judged is left, named to `onFault`, and
 * tried again at the next start. Answers with how many lots it went through.
 */
export async function judgeAfresh(
  store: Store,
  nowMs: () => Milliseconds,
  onFault: (ids: readonly number[], error: unknown) => void,
): Promise<number> {
  const writer = await ownWriter(store.tables, 'upgrade', nowMs())
  if (!writer) return 0
  const ids = (await byOtherRules(store.tables)).map(lot => lot.id)
  for (let from = 0; from < ids.length; from += AT_ONCE) {
    const some = ids.slice(from, from + AT_ONCE)
    try {
      await inBook(store, { ...writer, nowMs: nowMs() }, ctx => judgeSome(Object.assign(ctx, { byRules: JUDGED_BY }), some))
    }
    catch (error) {
      onFault(some, error)
    }
  }
  return ids.length
}
