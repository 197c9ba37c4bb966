import type { Milliseconds } from '../units/quantities'
import { groupBy } from '../lists/group-by'
import { afterDue, type Alike } from './after-due'
import { cureDue } from './cure-due'
import { isOf, type DueLot, type Group } from './due-lot'
import type { Due } from './due-thing'

/** Pieces by the plan they follow. */
export function groupsOf({ plan, piecePlans, pieces }: Pick<DueLot, 'plan' | 'piecePlans' | 'pieces'>): Group[] {
  const own = new Set(piecePlans.flatMap(one => one.pieces))
  const rest = pieces.map(piece => piece.id).filter(id => !own.has(id))
  return [
    ...(rest.length > 0 ? [{ plan, ids: rest }] : []),
    ...piecePlans.map(one => ({ plan: one.plan, ids: one.pieces })),
  ]
}

/** What is due of a lot at an instant, or soon may be, plan by plan; nothing that no plan holds is asked. */
export function dueOf(lot: DueLot, nowMs: Milliseconds): Due[] {
  return groupsOf(lot).flatMap(({ plan, ids }) => {
    const mine = lot.pieces.filter(piece => ids.includes(piece.id))
    const curing = mine.filter(piece => piece.outAtMs === null).map(piece => piece.id)
    const named = (some: readonly number[]) => (some.length === lot.pieces.length ? null : some)
    const inCure = curing.length > 0 ? cureDue(lot, { plan, ids: curing }, nowMs) : []
    return [
      ...inCure.map(due => ({ ...due, pieces: due.pieces === null ? named(curing) : named(due.pieces) })),
      ...together(
        alike(lot, mine.filter(piece => piece.outAtMs !== null)).flatMap(group =>
          afterDue(plan, group, nowMs).map(due => ({ ...due, pieces: group.ids })),
        ),
      ).map(due => ({ ...due, pieces: named(due.pieces) })),
    ]
  })
}

/** The same asked of several is asked once: what was weighed piece by piece came to it by ways of its own. */
function together(found: (Due & { pieces: readonly number[] })[]): (Due & { pieces: readonly number[] })[] {
  const same = groupBy(found, ({ pieces: _each, because, ...rest }) =>
    JSON.stringify([rest, because.why === 'lost' ? because.why : because]),
  )
  return [...same.values()].map(ones => ({ ...ones[0]!, pieces: ones.flatMap(one => one.pieces).toSorted((a, b) => a - b) }))
}

/** Pieces out of the cure to which the same was done. */
function alike({ did, pieces }: DueLot, out: DueLot['pieces']) {
  const groups = new Map<string, Alike & { ids: number[] }>()
  for (const { id, outAtMs } of out) {
    const mine = did.filter(step => isOf(step, id))
    const key = `${outAtMs} ${mine.map(step => did.indexOf(step)).join(' ')}`
    const known = groups.get(key)
    if (known) known.ids.push(id)
    else groups.set(key, { ids: [id], outAtMs: outAtMs!, did: mine, lot: pieces })
  }
  return [...groups.values()]
}
