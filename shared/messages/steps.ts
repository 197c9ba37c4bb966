import type { ContradictionCode, Mend } from '#core/life/meaning'
import type { AddFace } from '#core/life/kinds/add'
import type { DryWay } from '#core/life/kinds/dry'
import type { FlavourWay } from '#core/life/kinds/flavour'
import type { RestWay } from '#core/life/kinds/rest'
import type { StepKind } from '#core/life/kinds/all-kinds'
import type { TakeWhy } from '#core/life/kinds/take'

/** What was done to the pieces: "was turned". */
export const STEP_DONE: Readonly<Record<StepKind, string>> = {
  rub: 'rubbed',
  turn: 'turned',
  drain: 'drained',
  look: 'looked at',
  move: 'moved',
  add: 'given more of its cure',
  weigh: 'weighed',
  out: 'taken out of the cure',
  soak: 'put into water',
  fry_test: 'fried to taste',
  dry: 'set to dry',
  rest: 'laid to rest',
  hang: 'hung to dry',
  humidity: 'in air set anew',
  heat: 'put into the smoke',
  flavour: 'flavoured',
  cut: 'cut up',
  slice: 'sliced',
  take: 'taken away',
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

/** Why pieces were taken away. */
export const TAKE_WORDS: Readonly<Record<TakeWhy, string>> = {
  thrown_away: 'thrown away',
  tasted: 'tasted up',
  other: 'for something else',
}
/** How flavour went on. */
export const FLAVOURED: Readonly<Record<FlavourWay, string>> = {
  marinade: 'In a marinade',
  dry_spice: 'Dry spice on',
  glaze: 'Glazed',
}
/** Where more of the cure goes on. */
export const ON_FACE: Readonly<Record<AddFace, string>> = {
  up: 'on the face that lies up',
  flesh: 'on the flesh',
  fat: 'on the fat',
  all: 'all over',
}
/** How it dries, and how it rests. */
export const DRY_WORDS: Readonly<Record<DryWay, string>> = {
  rack: 'on the rack',
  hung: 'hung up',
  fan: 'before a fan',
  warm: 'warm, without smoke',
}
export const REST_WORDS: Readonly<Record<RestWay, string>> = {
  open: 'unwrapped',
  wrapped: 'wrapped',
  sealed: 'sealed',
  part_frozen: 'part-frozen',
}
