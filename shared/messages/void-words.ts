import type { EventKind } from '../contracts/event-kinds'

/** Kinds of record that can be taken back, and what each of them took away: "Voided: the turn." */
export const VOID_WORDS = {
  turned: 'the turn',
  step: 'the step',
  drained: 'the draining',
  cure_ended: 'the end of the cure',
  fridge_read: 'the fridge reading',
  place_read: 'the reading',
  place_checked: 'the check',
  piece_tagged: 'the tag',
  plan_changed: 'the change of plan',
  run_started: 'the start of the smoke',
  run_read: 'the readings',
  run_pulled: 'the pull',
  sliced: 'the slicing and its packs',
  sent: 'the sending',
  pack_returned: 'the return',
  lot_rubbed: 'the rub',
  second_applied: 'the second application',
  weighed_after: 'the weighing',
  lab_result: 'the laboratory result',
  mix_made: 'the mix',
  meat_received: 'the delivery',
  delivery_received: 'the delivery',
  meat_cut: 'the cutting',
  ingredient_opened: 'the opening',
  stock_moved: 'the stock move',
  stock_counted: 'the count',
  ingredient_received: 'the delivery',
  instrument_checked: 'the check',
} satisfies Partial<Record<EventKind, string>>

export type VoidableKind = keyof typeof VOID_WORDS
/** Whether records of a kind can be taken back; others are corrected. */
export const isVoidable = (kind: EventKind): kind is VoidableKind => kind in VOID_WORDS
