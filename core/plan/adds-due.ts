import { addDays, instantOf } from '../calendar/local-day'
import { cureDay } from '../curing/cure-day'
import { SAME_TURN_MS } from '../rules/house'
import { MS_PER_DAY, type Milliseconds } from '../units/quantities'
import { isOf, type DueLot, type Group } from './due-lot'
import { due, type Due } from './due-thing'
import type { PlannedAdd } from './plan'

/** The application that a plan joins to the turn of this cure day; null: none. */
export const addWithTurn = ({ plan }: Pick<Group, 'plan'>, day: number): PlannedAdd | null =>
  plan.cure.adds.find(({ when }) => when.on === 'each_turn' && day <= when.toDay) ?? null

/**
 * What a plan wants put on now, of pieces that cure: on its day, once the first liquid is gone, or on the face that the
 * last turn brought up. What goes on with a turn that is due is asked with it.
 */
export function addsDue(lot: DueLot, { plan, ids }: Group, at: { day: number; nowMs: Milliseconds }): Due[] {
  const mine = (kind: 'add' | 'drain') => lot.did.filter(step => step.kind === kind && ids.some(id => isOf(step, id)))
  const addedSince = (fromMs: Milliseconds) => mine('add').some(step => step.fromMs >= fromMs)
  const startOf = (day: number) => instantOf(addDays(lot.rubbedOn, day), '00:00', lot.zone)
  // The last day that has come decides: what was missed is not put on twice.
  const days = plan.cure.adds.flatMap(add => (add.when.on === 'day' && add.when.day <= at.day ? [{ add, day: add.when.day }] : []))
  const last = days.toSorted((a, b) => b.day - a.day)[0]
  const drained = mine('drain')[0]
  const afterDrain = plan.cure.adds.find(add => add.when.on === 'after_draining')
  return [
    ...(last && !addedSince(startOf(last.day))
      ? [
          due('add', { why: 'planned_day', day: last.day }, {
            byMs: instantOf(addDays(lot.rubbedOn, last.day), lot.turnBy, lot.zone),
            late: at.day > last.day,
            add: last.add,
          }),
        ]
      : []),
    ...(afterDrain && drained && !addedSince(drained.fromMs)
      ? [due('add', { why: 'drained' }, { add: afterDrain, late: at.nowMs - drained.fromMs > MS_PER_DAY })]
      : []),
    ...afterTurn(lot, { plan, ids }, at.day, addedSince),
  ]
}

/** The last turn brought a face up on which the plan wants more, and nobody has put it on. */
function afterTurn(lot: DueLot, group: Group, day: number, addedSince: (fromMs: Milliseconds) => boolean): Due[] {
  const add = addWithTurn(group, day)
  const turn = add && lot.turns.findLast(({ pieces }) => pieces === null || group.ids.some(id => pieces.includes(id)))
  if (!turn || cureDay(lot.rubbedOn, turn.atMs, lot.zone) < day || addedSince(turn.atMs - SAME_TURN_MS)) return []
  return [due('add', { why: 'turned' }, { add, pieces: turn.pieces })]
}
