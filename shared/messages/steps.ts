import type { ContradictionCode, Mend } from '#core/life/meaning'
import type { StepKind } from '#core/life/kinds/all-kinds'
import { DONE } from '../steps/all-told'

/** What was done to the pieces: "was turned". */
export const STEP_DONE: Readonly<Record<StepKind, string>> = {
  ...DONE,
  rub: 'rubbed',
  heat: 'put into the smoke',
  slice: 'sliced',
}

/** What makes the two fit. */
export const MEND_WORDS: Readonly<Record<Mend, string>> = {
  other_time: 'Look at the hour of both; if one of them is wrong, void it and tell it again.',
  tell_out: 'Say when it came out of the cure first.',
  tell_heat_end: 'Say when it came out of the smoke first.',
  void_one: 'Void one of the two.',
  tell_parts: 'Choose the parts it was cut into.',
}

/** What stands in the way of a second step, before its own time is said. */
export const WHY_NOT: Readonly<Record<ContradictionCode, string>> = {
  before_rub: 'was not rubbed yet',
  rubbed_twice: 'was rubbed already',
  out_of_cure: 'was out of the cure',
  still_curing: 'was still in the cure',
  in_water: 'lay in water',
  in_heat: 'was in the smoke',
  not_yet_cut: 'was not cut off yet',
  cut_up: 'was cut up',
  sliced: 'was sliced',
  taken: 'was taken away',
}
