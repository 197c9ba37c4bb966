import type { Milliseconds } from '../units/quantities'
import { afterDue } from './after-due'
import { cureDue } from './cure-due'
import { isOf, type DueLot, type Group } from './due-lot'
import type { Due } from './due-thing'
import type { DoneStep } from './progress'

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
      ...alike(lot, mine.filter(piece => piece.outAtMs !== null)).flatMap(({ ids: some, outAtMs, did }) =>
        afterDue(plan, outAtMs, did, nowMs).map(due => ({ ...due, pieces: named(some) })),
      ),
    ]
  })
}

/** Pieces out of the cure to which the same was done. */
function alike({ did }: DueLot, out: DueLot['pieces']) {
  const groups = new Map<string, { ids: number[]; outAtMs: Milliseconds; did: DoneStep[] }>()
  for (const { id, outAtMs } of out) {
    const mine = did.filter(step => isOf(step, id))
    const key = `${outAtMs} ${mine.map(step => did.indexOf(step)).join(' ')}`
    const known = groups.get(key)
    if (known) known.ids.push(id)
    else groups.set(key, { ids: [id], outAtMs: outAtMs!, did: mine })
  }
  return [...groups.values()]
}
