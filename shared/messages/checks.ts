import type { CheckAsked, CheckState } from '#core/places/check-state'

export const ASKED_WORDS: Record<CheckAsked, string> = {
  never: 'not asked for',
  before_heat: 'before a heat',
  before_slicing: 'before slicing',
}
export const CHECK_WORDS: Record<CheckState, string> = {
  never_done: 'never done',
  open: 'not all in order',
  over: 'to be done again',
  good: 'done',
}
