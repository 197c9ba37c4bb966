import { CHECK_RANGE_HOURS } from '#core/rules/ranges'
import { z } from 'zod'
import { CHECK_ASKED, type CheckAsked, type CheckState } from '#core/places/check-state'
import type { Milliseconds } from '#core/units/quantities'
import { name, note, whole } from '../entry/fields'
import { named } from '../faults/issues'

const MOST_ITEMS = 20
/** A month: what holds longer is no check before use. */

/** A list of what is looked at or cleaned, of a place or of a tool. */
export const checkListInput = z.strictObject({
  name: name(),
  /** Null: a tool. */
  placeId: z.int().positive().nullable(),
  items: z.array(name(120)).min(1, named('check_empty')).max(MOST_ITEMS),
  asked: z.enum(CHECK_ASKED),
  /** How many hours it holds. */
  goodForHours: whole(CHECK_RANGE_HOURS),
  inUse: z.boolean().default(true),
})
export type CheckListInput = z.output<typeof checkListInput>

/** A list gone through. `done`: places in the list, from 0; what is not there was not done, and the note says why. */
export const checkInput = z.strictObject({
  done: z
    .array(z.int().min(0).max(MOST_ITEMS - 1))
    .max(MOST_ITEMS)
    .refine(all => new Set(all).size === all.length, named('check_twice')),
  /** What it was cleaned with. */
  cleanedWith: name(120).nullable(),
  note: note(),
})
export type CheckInput = z.output<typeof checkInput>

export interface CheckListView {
  id: number
  name: string
  place: { id: number; name: string } | null
  items: string[]
  asked: CheckAsked
  goodForHours: number
  inUse: boolean
  state: CheckState
  last: { atMs: Milliseconds; by: string; passed: boolean; missing: string[]; note: string | null } | null
}
export interface CheckListsView {
  lists: CheckListView[]
}
