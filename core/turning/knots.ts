import type { Milliseconds } from '../units/quantities'
import type { Slot } from './rhythm'

/**
 * `done`: every piece then curing was turned; `half`: some were; `missed`: none, and its time is over; `made_up`:
 * missed, and turned early in the next slot; `due`: to be done now; `late`: past its hour; `coming`: not yet.
 */
export type LifeKnotState = 'done' | 'half' | 'missed' | 'made_up' | 'due' | 'late' | 'coming'

export interface LifeKnot extends Slot {
  state: LifeKnotState
  /** Pieces that were in the cure and not turned in it; of an open slot those still to be turned. */
  missing: number[]
  /** The last turn in it. */
  doneMs: Milliseconds | null
}

/** Pieces turned, massaged or stirred together. */
export interface Turned {
  atMs: Milliseconds
  pieces: readonly number[]
}

/** The span that a piece was in the cure; `outMs` null while it is. */
export interface InCure {
  pieceId: number
  fromMs: Milliseconds
  toMs: Milliseconds | null
}

export interface KnotsQuestion {
  slots: readonly Slot[]
  turns: readonly Turned[]
  pieces: readonly InCure[]
  nowMs: Milliseconds
}

/**
 * The knots of a lot's slots. A turn ties the slot it falls in and no other; two in one slot tie one. A slot in which
 * every piece left the cure without a turn has none. Example: of three pieces two were turned on Tuesday: that knot is
 * half, and the third is missing in it. Inputs stay untouched.
 */
export function knotsOf({ slots, turns, pieces, nowMs }: KnotsQuestion): LifeKnot[] {
  const inOrder = turns.toSorted((a, b) => a.atMs - b.atMs)
  const inSlot = (slot: Slot) => inOrder.filter(turn => turn.atMs >= slot.fromMs && turn.atMs < slot.untilMs)
  return slots.flatMap((slot, i) => {
    const mine = inSlot(slot)
    const asked = askedOf(slot, mine, pieces, nowMs)
    if (asked.length === 0) return []
    const turned = new Set(mine.flatMap(turn => turn.pieces))
    const missing = asked.filter(pieceId => !turned.has(pieceId))
    const state
      = missing.length === 0
        ? 'done'
        : missing.length < asked.length
          ? 'half'
          : untied(slot, slots[i + 1], inOrder, nowMs)
    return [{ ...slot, state, missing, doneMs: mine.at(-1)?.atMs ?? null }]
  })
}

/**
 * Whoever stayed in the cure to the slot's end, or to now; were all taken out in it, whoever lay there at its last
 * turn.
 */
function askedOf(slot: Slot, mine: readonly Turned[], pieces: readonly InCure[], nowMs: Milliseconds): number[] {
  const endMs = nowMs >= slot.fromMs ? Math.min(slot.untilMs, nowMs) : slot.untilMs
  const there = (ms: Milliseconds) => pieces.filter(one => one.fromMs <= ms && (one.toMs === null || one.toMs >= ms))
  const stayed = there(endMs)
  const lastTurn = mine.at(-1)
  return (stayed.length === 0 && lastTurn ? there(lastTurn.atMs) : stayed).map(one => one.pieceId)
}

function untied(slot: Slot, next: Slot | undefined, turns: readonly Turned[], nowMs: Milliseconds): LifeKnotState {
  if (nowMs >= slot.untilMs) {
    const halfMs = next ? (next.fromMs + next.untilMs) / 2 : Number.NEGATIVE_INFINITY
    return next && turns.some(turn => turn.atMs >= next.fromMs && turn.atMs < halfMs) ? 'made_up' : 'missed'
  }
  if (nowMs >= slot.dueMs) return 'late'
  return nowMs >= slot.dueFromMs ? 'due' : 'coming'
}

/** The knot to tie now, if any: open, asked for, and with pieces still to be turned. */
export const openLifeKnot = (knots: readonly LifeKnot[], nowMs: Milliseconds): LifeKnot | null =>
  knots.find(knot => knot.missing.length > 0 && nowMs >= knot.dueFromMs && nowMs < knot.untilMs) ?? null
