import type { Fraction, Grams } from './units/quantities'
/**
 * Everything that core refuses: each code with the figures its words need. Whoever words a code sees them here, and a
 * code that is refused without one of its figures does not compile.
 */
export interface Failures {
  // What was typed.
  empty: None
  foreign_digits: None
  not_a_number: None
  ambiguous_comma: Typed
  not_a_weight: None
  not_positive: None
  /** `ounces` after pounds. */
  ounces_over_16: { ounces: number }
  tare_unit_missing: None
  tare_above_gross: { grossG: Grams; tareG: Grams }
  too_light: { netG: Grams }
  too_heavy: { netG: Grams }
  temperature_range: Typed
  not_a_length: None
  length_range: Typed
  /** `min` and `max` in per cent. */
  percent_range: Typed & { min: number; max: number }
  not_an_amount: Typed
  amount_range: None
  unknown_unit: { unit: string }
  /** A plain number outside what is asked for. */
  number_range: { min: number; max: number }
  // Curing salts and mixes.
  agent_no_certificate: Named
  /** `bestBefore` an ISO date. */
  agent_expired: Named & { bestBefore: string }
  /** `spicedOn` an ISO date. */
  mix_spiced_stored: Named & { spicedOn: string }
  agent_long_dried_only: Named
  nitrate_refused: Named & { jurisdiction: string }
  agent_no_nitrite: Named
  mix_without_agent: None
  // The cure.
  no_pieces: None
  /** `mostShare` the mass fraction of salt in a full brine. */
  brine_too_strong: { mostShare: Fraction }
  /** `by` what most of the salt comes with. */
  salt_already_exceeded: { carriedG: Grams; wantedG: Grams; by: string }
  // A logger's table.
  csv_empty: None
  csv_columns: { columns: string }
  /** `row` counted from 1. */
  csv_row: Typed & { row: number }
  /** A file is refused by its size before it is read. */
  csv_too_large: { mostBytes: number }
  csv_too_many: { count: number; most: number }
}

/** No figures at all. */
export type None = Readonly<Record<never, never>>
interface Typed {
  typed: string
}
interface Named {
  name: string
}
