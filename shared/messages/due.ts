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
}
/** What is asked for, in the plan's own words. */
export const dueWords = ({ kind, item }: Pick<Due, 'kind' | 'item'>, as: Notation): string =>
  ASKS[kind] ?? (item ? itemWords(item, as) : kind)
