import { z } from 'zod'
import type { InstrumentMark } from './instruments'
import type { Finding } from '#core/book/findings'

/** Kinds of record in the book. */
export const EVENT_KINDS = [
  'shop_opened',
  'person_added',
  'person_changed',
  'password_reset',
  'password_changed',
  'pin_chosen',
  'device_ended',
  'rules_confirmed',
  'scale_added',
  'instrument_added',
  'instrument_changed',
  'instrument_checked',
  'fridge_added',
  'fridge_changed',
  'meat_received',
  'delivery_received',
  'meat_cut',
  'ingredient_received',
  'ingredient_opened',
  'stock_moved',
  'stock_counted',
  'party_added',
  'party_changed',
  'lot_rubbed',
  'turned',
  'turn_voided',
  'drained',
  'cure_ended',
  'fridge_read',
  'run_started',
  'run_read',
  'run_pulled',
  'sliced',
  'sent',
  'second_applied',
  'weighed_after',
  'lab_result',
  'mix_made',
  'recipe_written',
  'recipe_retired',
  'recipes_imported',
  'card_laid',
  'rules_chosen',
  'rules_written',
  'corrected',
  'voided',
  'held',
  'disposed',
  'rows_sealed',
  'password_rehashed',
  'recovery_code_used',
  'second_factor_set',
  'second_factor_dropped',
  'name_closed',
  'shop_exported',
  'own_device_ended',
] as const
export type EventKind = (typeof EVENT_KINDS)[number]

/** Which records: those before a number, newest first; without one, the newest of all. */
export const bookPageQuery = z.strictObject({ before: z.coerce.number().int().min(1).optional() })
/** Records a page. */
export const BOOK_PAGE = 500

export interface EventView {
  id: number
  kind: EventKind
  atMs: number
  zone: string
  /** Version of the arithmetic that computed it. */
  arithmetic: string
  who: string
  initials: string
  /** The device it was recorded on. */
  station: string
  typed: unknown
  /** What was typed is so long that it is fetched when the record is opened. */
  longBytes?: number
  computed: unknown
  reason: string | null
  subjects: string[]
  /** The record that this one voids. */
  voidsId: number | null
  /** The record that voids this one. */
  voided: { id: number; who: string; atMs: number; reason: string | null } | null
  /** How far the computer's clock lay behind the record before; null when it did not. */
  clockBehindMs: number | null
  /** Instruments it was read on that were not in order then. */
  marks: InstrumentMark[]
  hash: string
}

/** What a check of the whole book found. */
export interface BookCheckView {
  records: number
  /** Rows of the shop held against the book; 0 when it seals none yet. */
  rows: number
  end: { id: number; hash: string }
  broken: Finding | null
  /** The first of them; `found` counts all. */
  findings: Finding[]
  found: number
  ms: number
  /** True when the application's database user may change or remove records, which it should not. */
  changeable: boolean
}
