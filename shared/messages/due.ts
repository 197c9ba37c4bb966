import type { PlannedTurn } from '#core/turning/rhythm'
import type { Due, DueKind } from '#core/plan/due-thing'
import type { Notation } from '#core/units/format'
import { itemWords } from './plans'

const ASKS: Partial<Record<DueKind, string>> = {
  turn: 'turn',
  drain: 'pour off',
  look: 'look at it',
  add: 'put more on',
  out: 'take it out',
  touch: 'feel whether the surface is tacky',
  fry_test: 'fry a slice and taste it',
  weigh: 'weigh it',
}
const TURNS: Record<PlannedTurn, string> = {
  turned: 'turn',
  massaged: 'massage',
  stirred: 'stir',
  massaged_turned: 'massage and turn',
}

/** What is asked for, in the plan's own words. */
export const dueWords = ({ kind, item, because }: Pick<Due, 'kind' | 'item'> & Partial<Pick<Due, 'because'>>, as: Notation): string =>
  kind === 'humidity' && because?.why === 'humidity'
    ? `set the air to ${because.percent} %`
    : kind === 'turn' && because?.why === 'rhythm'
      ? TURNS[because.rhythm.how]
      : ASKS[kind] ?? (item ? itemWords(item, as) : kind)
