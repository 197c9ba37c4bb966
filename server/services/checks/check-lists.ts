import { atKey } from '#core/lists/at-key'
import { checkState, isAskedFor, type CheckAsked } from '#core/places/check-state'
import { MS_PER_HOUR, type Milliseconds } from '#core/units/quantities'
import type { CheckListInput, CheckListView } from '#shared/contracts/checks'
import type { Tables } from '../../db/database'
import type { Filter } from '../../db/table/statements'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { lockShop } from '../lock-rows'

const isSame = (a: readonly string[], b: readonly string[] = []): boolean => a.length === b.length && a.every((item, i) => item === b[i])

/** Some lists, each with how it stands by the last time that it was gone through. */
async function standingLists(tables: Tables, which: Filter, nowMs: Milliseconds) {
  const lists = await tables.checkLists.find(which, { order: [['inUse', 'DESC'], ['id', 'ASC']] })
  const checks = await tables.placeChecks.pickEach(['listId', 'atMs', 'byId', 'items', 'done', 'passed', 'note'], {
    wheres: lists.map(list => ({ listId: list.id })),
    first: { order: [['atMs', 'DESC'], ['id', 'DESC']], limit: 1 },
  })
  const lastOf = new Map(checks.map(check => [check.listId, check]))
  return lists.map((list) => {
    const last = lastOf.get(list.id) ?? null
    const question = { goodForMs: list.goodForHours * MS_PER_HOUR, last, sameItems: isSame(list.items, last?.items) }
    return { ...list, last, state: checkState(question, nowMs) }
  })
}

/** Every list with the last time that it was gone through, those in use first. */
export async function checkListViews(tables: Tables, nowMs: Milliseconds): Promise<CheckListView[]> {
  const [lists, places, users] = await Promise.all([
    standingLists(tables, {}, nowMs),
    tables.places.pick(['name']),
    tables.users.pick(['initials']),
  ])
  const nameOf = new Map(places.map(place => [place.id, place.name]))
  const initials = new Map(users.map(user => [user.id, user.initials]))
  return lists.map(({ id, name, placeId, items, asked, goodForHours, inUse, state, last }) => ({
    id,
    name,
    place: placeId === null ? null : { id: placeId, name: atKey(nameOf, placeId) },
    items,
    asked,
    goodForHours,
    inUse,
    state,
    last: last
      ? {
          atMs: last.atMs,
          by: atKey(initials, last.byId),
          passed: last.passed,
          missing: last.items.filter((_, i) => !last.done.includes(i)),
          note: last.note,
        }
      : null,
  }))
}

/** Lists that are asked for before a use, and do not hold: refused until somebody says that it goes on without. */
export async function refuseUnchecked(
  ctx: WriteContext,
  use: { asked: CheckAsked; placeId: number | null },
  sure: boolean,
): Promise<Refusal | null> {
  if (sure) return null
  const lists = await standingLists(ctx.tables, { asked: use.asked, inUse: true }, ctx.nowMs)
  const open = lists.filter(list => isAskedFor(list, use) && list.state !== 'good')
  return open.length > 0 ? refuse('not_checked', { names: open.map(list => list.name).join(', ') }) : null
}

async function refuseList({ tables }: WriteContext, input: CheckListInput, own: number | null): Promise<Refusal | null> {
  const place = input.placeId === null ? true : await tables.places.one({ id: input.placeId }, { lock: true })
  if (!place) return refuse('no_such_place', {}, ['placeId'])
  await lockShop(tables)
  const named = await tables.checkLists.one({ name: input.name })
  return named && named.id !== own ? refuse('name_taken', { name: input.name }, ['name']) : null
}

const placeCode = async ({ tables }: WriteContext, placeId: number | null): Promise<string[]> => {
  const place = placeId === null ? null : await tables.places.one({ id: placeId })
  return place?.code ? [place.code] : []
}

export async function addCheckList(ctx: WriteContext, input: CheckListInput): Promise<Answer<{ id: number }>> {
  const refused = await refuseList(ctx, input, null)
  if (refused) return refused
  const id = await ctx.tables.checkLists.insert(input)
  recordEvent(ctx, { kind: 'check_list_added', subjects: await placeCode(ctx, input.placeId), typed: input, computed: { id } })
  return { ok: true, value: { id } }
}

/** What was gone through before stays as it was then. */
export async function changeCheckList(ctx: WriteContext, id: number, input: CheckListInput): Promise<Answer<object>> {
  const list = await ctx.tables.checkLists.one({ id }, { lock: true })
  if (!list) return refuse('no_such_list')
  const refused = await refuseList(ctx, input, id)
  if (refused) return refused
  await ctx.tables.checkLists.update(id, input)
  const { id: _id, ...before } = list
  recordEvent(ctx, { kind: 'check_list_changed', subjects: await placeCode(ctx, input.placeId), typed: input, computed: { id, before } })
  return { ok: true, value: {} }
}
