import type { Celsius, Milliseconds } from '../units/quantities'

/** What a hold is about, as far as it says so; null stands for all. */
export interface HeldAbout {
  reason: string
  about: string | null
  pieces: readonly number[] | null
  fromMs: Milliseconds | null
  toMs: Milliseconds | null
  worst: Celsius | null
}

/** A breach of some pieces, as it would be held. */
export interface BreachOf {
  reason: string
  about: string
  pieces: readonly number[]
  fromMs: Milliseconds
  /** Null: it goes on. */
  toMs: Milliseconds | null
  /** Null: nobody knows. */
  worst: Celsius | null
}

/** A thousandth of a degree, and a millisecond: what a table keeps. */
const KEPT = 0.001

/**
 * Whether a hold, or the owner's decision on it, covers a breach: reason and subject agree, its stretch of time lies
 * inside, the worst is no worse, and its pieces are among those held.
 */
export function covers(hold: HeldAbout, breach: BreachOf): boolean {
  return (
    hold.reason === breach.reason
    && (hold.about === null || hold.about === breach.about)
    && (hold.pieces === null || breach.pieces.every(id => hold.pieces!.includes(id)))
    && (hold.fromMs === null || Math.ceil(breach.fromMs) >= Math.floor(hold.fromMs))
    && (hold.toMs === null || Math.floor(endOf(breach)) <= Math.ceil(hold.toMs))
    && (hold.worst === null || breach.worst === null || breach.worst <= hold.worst + KEPT)
  )
}

/** When a stretch ends; what goes on has no end. */
const endOf = ({ toMs }: { toMs: Milliseconds | null }): Milliseconds => toMs ?? Infinity

/** The same trouble going on: a hold that is still open takes the longer stretch over. */
export const continues = (hold: HeldAbout, breach: BreachOf): boolean =>
  hold.reason === breach.reason
  && hold.about === breach.about
  && hold.fromMs !== null
  && breach.fromMs <= endOf(hold) + 1
  && endOf(breach) >= hold.fromMs - 1
