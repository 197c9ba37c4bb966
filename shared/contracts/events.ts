/** Kinds of record in the book. */
export const EVENT_KINDS = [
  'shop_opened', 'person_added', 'rules_confirmed', 'scale_added', 'fridge_added', 'meat_received', 'ingredient_received', 'lot_rubbed', 'turned', 'turn_voided', 'drained', 'cure_ended',
  'fridge_read', 'run_started', 'run_read', 'run_pulled', 'sliced', 'sent', 'corrected', 'held', 'disposed',
] as const
export type EventKind = (typeof EVENT_KINDS)[number]

export interface EventView {
  id: number
  kind: EventKind
  atMs: number
  zone: string
  who: string
  initials: string
  typed: unknown
  computed: unknown
  reason: string | null
  subjects: string[]
}
