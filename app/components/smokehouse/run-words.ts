import { COOLING_MIDDLE_C, P70_WANTED_MIN, SALMONELLA_LOG } from '#core/rules/guideline'
import { formatNumber, formatTemperature, type Notation } from '#core/units/format'
import { formatSpan } from '#core/units/format-span'
import { leastWords } from '#shared/messages/stayed'
import type { RunView } from '#shared/contracts/smoke'

type Lot = RunView['lots'][number]
type Rise = NonNullable<Lot['rise']>
type Cooling = NonNullable<Lot['cooling']>
type Cold = NonNullable<Lot['cold']>
export interface Said {
  tone: 'plain' | 'good' | 'watch' | 'act'
  words: string
}

const COLD: Record<Cold['status'], Said> = {
  none: { tone: 'plain', words: '' },
  short: { tone: 'good', words: 'short enough' },
  ask: { tone: 'watch', words: 'long: ask whether it still smells and feels right' },
  hold: { tone: 'act', words: 'too long or too warm: held' },
}
const RISE: Record<Rise['status'], Said> = {
  not_bound: { tone: 'plain', words: 'smoked cold' },
  under_way: { tone: 'watch', words: 'under way' },
  in_time: { tone: 'good', words: 'in time' },
  late: { tone: 'act', words: 'too slow' },
  not_shown: { tone: 'act', words: 'not shown: nobody knows when it left the cold' },
}
const COOLING: Record<Cooling['status'], Said> = {
  no_reading: { tone: 'watch', words: 'no reading yet' },
  under_way: { tone: 'watch', words: 'under way' },
  in_time: { tone: 'good', words: 'cooled in time' },
  late_first: { tone: 'act', words: 'first stage too slow' },
  late_second: { tone: 'act', words: 'too slow to the end' },
  not_shown_first: { tone: 'act', words: 'not shown: too long without a reading in the first stage' },
  not_shown_second: { tone: 'act', words: 'not shown: too long without a reading to the end' },
}
export const OUTCOME_WORDS: Record<NonNullable<RunView['outcome']>, string> = {
  heat_treated: 'heat-treated, cook before eating',
  raw_smoked: 'raw, smoked, cook before eating',
}

export const coldSaid = (cold: Cold): Said => COLD[cold.status]
export const coolingSaid = (cooling: Cooling): Said => COOLING[cooling.status]
export const riseSaid = ({ status, allowedMs }: Rise): Said =>
  status === 'not_bound' ? RISE[status] : { ...RISE[status], words: `${RISE[status].words}, ${formatSpan(allowedMs)} allowed` }

export function creditSaid({ lethal }: RunView['figures'], as: Notation): Said {
  const wanted = `${formatNumber(SALMONELLA_LOG, 1, as.decimal)} log`
  return lethal ? { tone: 'good', words: `${wanted} reached` } : { tone: 'watch', words: `of ${wanted} wanted` }
}
export const p70Said = (reached: boolean): Said =>
  reached
    ? { tone: 'good', words: `${P70_WANTED_MIN} min reached` }
    : { tone: 'watch', words: `of ${P70_WANTED_MIN} min wanted` }

/** A guideline binds where its law holds; elsewhere the shop keeps it as a rule of its own. */
export const sourceWords = (ruleSetId: string, guideline: string): string =>
  ruleSetId === 'us' ? guideline : `House rule, from the US guideline: ${guideline}`

/** The rule by which a lot cools: the least that stayed, and the two stages with their times. */
export function coolingRuleWords({ leastPpm, leastWhy }: Lot, { rule }: Cooling, as: Notation): string {
  const nitrite = leastPpm === null && leastWhy === null ? 'no nitrite' : leastWords(leastPpm, leastWhy, as)
  const stage = (ms: number, tempC: number) => `${formatSpan(ms)} to ${formatTemperature(tempC, as)}`
  const kind = rule.id === 'cured' ? 'cured' : 'not cured'
  return `${nitrite}: ${kind}, ${stage(rule.firstMs, COOLING_MIDDLE_C)}, then ${stage(rule.secondMs, rule.endC)}`
}

/** How long each stage took at most; empty while that is not known. */
export function coolingTookWords({ first, second }: Cooling): string {
  if (first.longestMs === null) return ''
  const rest = second.longestMs === null ? '' : `, then ${formatSpan(second.longestMs)}`
  return `at most ${formatSpan(first.longestMs)}${rest}`
}
