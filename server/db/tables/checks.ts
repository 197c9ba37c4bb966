import type { CheckAsked } from '#core/places/check-state'
import { bool, instant, int, json, nullable, text } from '../schema/column'
import { tableSpec, voidableSpec } from '../schema/table-spec'

/** What is looked at or cleaned in a place, or of a tool. */
export const checkLists = tableSpec(
  'check_lists',
  {
    name: text(),
    placeId: nullable(int()),
    items: json<string[]>(),
    asked: text<CheckAsked>(16),
    goodForHours: int(),
    inUse: bool(),
  },
  ['name', 'placeId', 'items', 'asked', 'goodForHours', 'inUse'],
)

/** A list gone through: its items as they were then. */
export const placeChecks = voidableSpec('place_checks', {
  listId: int(),
  atMs: instant(),
  byId: int(),
  items: json<string[]>(),
  done: json<number[]>(),
  passed: bool(),
  cleanedWith: nullable(text(120)),
  note: nullable(text(500)),
})
