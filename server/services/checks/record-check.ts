import type { CheckInput } from '#shared/contracts/checks'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'

/** A list gone through. What was left out is said; then it is not passed, and asked for again. */
export async function recordCheck(
  ctx: WriteContext,
  listId: number,
  input: CheckInput,
): Promise<Answer<{ passed: boolean }>> {
  const list = await ctx.tables.checkLists.one({ id: listId }, { lock: true })
  if (!list) return refuse('no_such_list')
  const { name, items, placeId } = list
  if (input.done.some(i => i >= items.length)) return refuse('list_changed', { name }, ['done'])
  const missing = items.filter((_, i) => !input.done.includes(i))
  if (missing.length > 0 && !input.note) return refuse('check_partly', { missing: missing.join(', ') }, ['note'])
  const passed = missing.length === 0
  const checkId = await ctx.tables.placeChecks.insert({
    listId,
    atMs: ctx.nowMs,
    byId: ctx.actor.id,
    items,
    done: input.done,
    passed,
    cleanedWith: input.cleanedWith,
    note: input.note || null,
  })
  const place = placeId === null ? null : await ctx.tables.places.one({ id: placeId })
  recordEvent(ctx, {
    kind: 'place_checked',
    subjects: place?.code ? [place.code] : [],
    typed: { ...input, list: name, place: place?.name ?? null },
    computed: { checkId, passed, done: items.filter((_, i) => input.done.includes(i)), missing },
  })
  return { ok: true, value: { passed } }
}
