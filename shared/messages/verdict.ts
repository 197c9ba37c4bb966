import { formatIngredient, formatLimit, formatMeat, formatPpm, type Notation } from '#core/units/format'
import { formatDate } from '#core/units/format-date'
import type { Judgement } from '../contracts/judgement'

const CUT_WORDS = { on: 'rind-on', off: 'rind-off' } as const

/** The rule in a few words: "200 ppm for rind-off belly, dry cure". */
export const ruleWords = (j: Judgement, as: Notation): string =>
  `${formatPpm(j.row.maxPpm, as)} for ${j.row.rind === 'any' ? '' : `${CUT_WORDS[j.rind]} `}${j.cut}, dry cure`

const fix = (j: Judgement, as: Notation, readabilityG: number): string => {
  const { takeOffAgentG, addMeatG, addAgentG, finerScaleG, smallestLotG } = j.advice
  const ways = [
    takeOffAgentG !== null ? `take off ${formatIngredient(takeOffAgentG, as, readabilityG)} of curing salt` : '',
    addMeatG !== null ? `add ${formatMeat(addMeatG, as)} of meat` : '',
    addAgentG !== null ? `add ${formatIngredient(addAgentG, as, readabilityG)} of curing salt` : '',
    finerScaleG !== null ? `weigh the curing salt on a scale that reads to ${formatIngredient(finerScaleG, as, finerScaleG)}` : '',
    (smallestLotG ?? null) !== null ? `cure at least ${formatMeat(smallestLotG!, as)} at a time on this scale` : '',
  ].filter(way => way !== '')
  const text = ways.join(' or ')
  return text === '' ? '' : ` ${text[0]!.toUpperCase()}${text.slice(1)}.`
}

/** The number, the rule and what to do. `readabilityG` is the mixing scale's division. */
export function verdictWords(j: Judgement, as: Notation, readabilityG: number): string {
  if (!j.lot) return `Salt only: no nitrite. Keep it at ${formatLimit(4, as)} or colder all the way, cook before eating.`
  const got = formatPpm(j.lot.ppm, as)
  const floor = formatPpm(j.floorPpm, as)
  switch (j.status) {
    case 'inside': return `${got}, inside ${floor} to ${ruleWords(j, as)}.`
    case 'above_limit': return `${got}, limit ${ruleWords(j, as)}.${fix(j, as, readabilityG)}`
    case 'limit_not_shown': return `${got}, but it may be up to ${formatPpm(j.lot.highPpm, as)}; limit ${ruleWords(j, as)}.${fix(j, as, readabilityG)}`
    case 'below_floor': return `${got}, below the floor of ${floor}: too little is a hazard too.${fix(j, as, readabilityG)}`
    case 'floor_not_shown': return `${got}, but it may be only ${formatPpm(j.lot.lowPpm, as)}; floor ${floor}.${fix(j, as, readabilityG)}`
    case 'no_nitrite': return ''
  }
}

export const STATUS_WORDS: Record<Judgement['status'], string> = {
  inside: 'inside the limits', above_limit: 'above the limit', limit_not_shown: 'may be above the limit',
  below_floor: 'below the floor', floor_not_shown: 'may be below the floor', no_nitrite: 'salt only',
}

/** The line under every verdict. */
export const standingWords = (j: Judgement, as: Notation): string => {
  const rules = `${j.jurisdiction} rules: ${j.row.source}`
  const confirmed = j.confirmed
    ? `confirmed by ${j.confirmed.by} on ${formatDate(j.confirmed.on, as.dates)} ${as.dates === 'iso' ? '' : j.confirmed.on.slice(0, 4)}`.trimEnd()
    : 'not confirmed by this shop'
  return `${rules}; ${confirmed}. An aid: your inspector and local code decide.`
}
