import type { LifeKnot } from '#core/turning/knots'
import { ordersAhead, type Stack } from '#core/turning/stack'
import { wordList } from '#core/lists/word-list'
import type { PieceFace } from '#core/life/kinds/turn'
import type { LotPiece } from '#shared/contracts/lots'
import type { LotTwine } from '~/logic/lot-twine'

/** A stack at one time: "lies now", "today", "tomorrow", "day 9". */
export interface StackThen {
  label: string
  /** Pieces from the bottom up. */
  pieces: { label: string; face: PieceFace | null }[]
  /** What the turn does: "3 to the bottom, all over"; of now nothing. */
  move: string | null
}

/** Turns that are drawn ahead: today's and tomorrow's. */
const AHEAD = 2
const OTHER: Record<PieceFace, PieceFace> = { flesh: 'fat', fat: 'flesh' }

/** "3 to the bottom, all over". */
function moveWords(before: readonly string[], after: readonly string[]): string {
  if (after.length === 1) return 'over'
  return before[0] === after[0] ? 'as it lies, all over' : `${after[0]} to the bottom, all over`
}

/** Turns that are still to come, or to be done now: by day of the lot's count. */
const comingTurns = (knots: readonly LifeKnot[], nowMs: number) =>
  knots.filter(knot => knot.missing.length > 0 && knot.untilMs > nowMs).slice(0, AHEAD)

const dayWords = (day: number, today: number): string =>
  day <= today ? 'today' : day === today + 1 ? 'tomorrow' : `day ${day}`

/** A stack as it lies, and as it will lie after its next turns by the lot's twine. */
export function stackTurns(
  stack: Stack<LotPiece>,
  { knots, day }: Pick<LotTwine, 'knots' | 'day'>,
  nowMs: number,
): StackThen[] {
  const turns = comingTurns(knots, nowMs)
  const numbers = (pieces: readonly LotPiece[]) => pieces.map(piece => piece.label)
  const orders = ordersAhead(stack, turns.length)
  return [
    { label: 'lies now', pieces: stack.pieces.map(({ label, face }) => ({ label, face })), move: null },
    ...orders.map((order, i) => ({
      label: dayWords(turns[i]!.day, day),
      pieces: order.map(({ label, face }) => ({ label, face: face && i % 2 === 0 ? OTHER[face] : face })),
      move: moveWords(numbers(orders[i - 1] ?? stack.pieces), numbers(order)),
    })),
  ]
}

/**
 * The same for those who do not see it: "Lies now, from the bottom: 1, 2 and 3. Today 3 to the bottom, all over: 3, 2
 * and 1."
 */
export const stackWords = (then: readonly StackThen[]): string =>
  then
    .map(({ label, move, pieces }) => {
      const order = wordList(pieces.map(piece => piece.label))
      return move === null ? `Lies now, from the bottom: ${order}.` : `${label[0]!.toUpperCase()}${label.slice(1)} ${move}: ${order}.`
    })
    .join(' ')
