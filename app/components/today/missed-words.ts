import type { LifeKnot } from '#core/turning/knots'
import { wordList } from '#core/lists/word-list'
import type { LotSummary } from '#shared/contracts/lots'
import { piecesWords } from '#shared/messages/pieces'
import type { Milliseconds } from '#core/units/quantities'
import { numbersOf } from '~/logic/where-of'

/** The most missed days that are named; of more the last alone. */
const NAMED = 3
const daysWords = (knots: readonly LifeKnot[]) => {
  const days = [...new Set(knots.map(knot => knot.day))]
  return days.length > NAMED
    ? `${knots.length} times, the last on day ${days.at(-1)}`
    : `on ${days.length === 1 ? 'day' : 'days'} ${wordList(days)}`
}

/**
 * Turns of a twine that were not done in their time: "not turned on days 3 and 5; on day 4 not piece 2; on day 6 made
 * up with the next". Empty where none was missed. What is still open was not missed.
 */
export function missedWords(knots: readonly LifeKnot[], lot: Pick<LotSummary, 'pieces'>, nowMs: Milliseconds): string {
  const of = (state: LifeKnot['state']) => knots.filter(knot => knot.state === state)
  const over = of('half').filter(knot => nowMs >= knot.untilMs)
  const [missed, madeUp] = [of('missed'), of('made_up')]
  return [
    ...(missed.length > 0 ? [`not turned ${daysWords(missed)}`] : []),
    ...over.slice(-NAMED).map(knot => `on day ${knot.day} not ${piecesWords(numbersOf(lot, knot.missing))}`),
    ...(madeUp.length > 0 ? [`${daysWords(madeUp)} made up with the next`] : []),
  ].join('; ')
}
