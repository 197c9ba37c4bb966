import { formatIngredient, formatPercent, formatPpm, type Notation } from '#core/units/format'
import { LEAST_SALT_ONLY_SHARE } from '#core/rules/house'
import type { Fraction, Ppm } from '#core/units/quantities'
import type { Bench } from './use-bench'

type Share = Bench['shares']['value'][number]
type Scoop = Bench['scoops']['value'][number]
type Sides = Record<'flesh' | 'fat' | 'edges', number>

/** What a piece's share of the mix is made of. */
export function shareWords(share: Share, fromAgentOnly: boolean, as: Notation): string {
  const grams = (massG: number, readabilityG = 0.1) => formatIngredient(massG, as, readabilityG)
  const agent = share.agentG > 0 ? `${grams(share.agentG, 0.01)} ${fromAgentOnly ? 'of it' : 'curing salt'}` : ''
  const rest = fromAgentOnly ? '' : `${grams(share.saltG)} salt, ${grams(share.sugarG)} sugar`
  const own = share.ownG > 0 ? `; beside it ${grams(share.ownG)} of its own flavouring` : ''
  return `${[agent, rest].filter(Boolean).join(', ')}${own}`
}

export const sideWords = ({ flesh, fat, edges }: Sides, rind: 'on' | 'off', as: Notation): string =>
  `flesh ${formatIngredient(flesh, as, 1)}, ${rind === 'on' ? 'rind' : 'fat'} ${formatIngredient(fat, as, 1)}, `
  + `edges ${formatIngredient(edges, as, 1)}`

/** What a piece gets from one of equal scoops, and whether that is too much or too little. */
export function scoopWords(scoop: Scoop, limits: { floorPpm: Ppm; maxPpm: Ppm } | null, as: Notation) {
  const over = limits !== null && scoop.highPpm > limits.maxPpm
  const under = limits !== null && scoop.ppm < limits.floorPpm
  return { wrong: over || under, words: `${formatPpm(scoop.ppm, as)}${over ? ', over' : under ? ', under' : ''}` }
}

/** The same of salt alone: under 1.8 % of green weight it is no cure without nitrite. */
export const saltScoopWords = (share: Fraction, as: Notation) => ({
  wrong: share < LEAST_SALT_ONLY_SHARE,
  words: `${formatPercent(share, as, 2)} salt${share < LEAST_SALT_ONLY_SHARE ? ', under' : ''}`,
})

export interface SaltSpan {
  low: Fraction
  high: Fraction
  planned: Fraction
}
export function saltSpanWords({ low, high, planned }: SaltSpan, as: Notation): string {
  const share = (of: Fraction) => formatPercent(of, as, 2)
  return ` (${share(low)} to ${share(high)} salt, where the plan is ${share(planned)})`
}
