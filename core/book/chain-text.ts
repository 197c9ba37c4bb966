import type { Milliseconds } from '../units/quantities'
/**
 * One record of the book as its hash sees it. `typed`, `computed` and `subjects` are the JSON texts as stored, byte for
 * byte.
 */
export interface BookRow {
  /** 1, 2, 3 … without a gap. */
  id: number
  kind: string
  userId: number
  /** The person's name when the record was made. */
  who: string
  station: string
  atMs: Milliseconds
  zone: string
  arithmetic: string
  typed: string
  computed: string
  reason: string | null
  subjects: string
  /** The record that this one voids. */
  voidsId: number | null
  /** How far the computer's clock lay behind the record before; null when it did not. */
  clockBehindMs: Milliseconds | null
  /** Digests of the rows that it wrote, as JSON text; null in records from before there were any. */
  touched: string | null
}

/** What the first record covers in place of a record before it. */
export const FIRST_HASH = '0'.repeat(64)

/**
 * The text whose SHA-256, in lower-case hex, is a record's hash: a JSON array without spaces that begins with the hash
 * of the record before, so that no record can be changed, taken out or put in without every later hash showing it. An
 * array keeps the fields apart whatever they hold. House.
 */
export const chainText = (hashBefore: string, row: BookRow): string =>
  JSON.stringify([
    hashBefore,
    row.id,
    row.kind,
    row.userId,
    row.who,
    row.station,
    row.atMs,
    row.zone,
    row.arithmetic,
    row.typed,
    row.computed,
    row.reason,
    row.subjects,
    row.voidsId,
    row.clockBehindMs,
    ...(row.touched === null ? [] : [row.touched]),
  ])
