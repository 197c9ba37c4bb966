import { upperFirst } from '#core/lists/upper-first'
import { holdsLot } from '#core/rules/judge-nitrite'
import { labNeeded } from '#core/rules/lab-needed'
import type { Fraction, Grams, Ppm } from '#core/units/quantities'
import { COLD_SMOKE_SALT_ONLY_C } from '#core/rules/house'
import { isWet, type CureMethod } from '#core/cure/cure-method'
import {
  formatIngredient,
  formatLimit,
  formatMeat,
  formatNumber,
  formatPpm,
  formatPpmBeside,
  type Notation,
} from '#core/units/format'
import { formatDateInYear } from '#core/calendar/format-date'
import { piecesWords } from './pieces'
import type { Judgement } from '../contracts/judgement'

const CUT_WORDS = { on: 'rind-on', off: 'rind-off' } as const

/** The rule in a few words: "200 ppm for rind-off belly, dry cure"; a limit on the ion says both. */
export const ruleWords = (j: Judgement, as: Notation): string => {
  const text
    = j.row.basis === 'ingoing_ion' ? ` (${formatNumber(j.row.maxPpm!, 0, as.decimal)} mg/kg as nitrite ion)` : ''
  return `${formatPpm(j.maxPpm, as)}${text} for `
    + `${j.row.rind === 'any' ? '' : `${CUT_WORDS[j.rind]} `}${j.cut === 'other' ? 'another cut' : j.cut}, `
    + `${isWet(j.method) ? 'wet' : 'dry'} cure`
}

const fix = (j: Judgement, as: Notation, readabilityG: Grams): string => {
  const { takeOffAgentG, addMeatG, addAgentG, finerScaleG, smallestLotG } = j.advice
  const ways = [
    takeOffAgentG !== null ? `take off ${formatIngredient(takeOffAgentG, as, readabilityG)} of curing salt` : '',
    addMeatG !== null ? `add ${formatMeat(addMeatG, as)} of meat` : '',
    addAgentG !== null ? `add ${formatIngredient(addAgentG, as, readabilityG)} of curing salt` : '',
    finerScaleG !== null
      ? `weigh the curing salt on a scale that reads to ${formatIngredient(finerScaleG, as, finerScaleG)}`
      : '',
    (smallestLotG ?? null) !== null ? `cure at least ${formatMeat(smallestLotG!, as)} at a time on this scale` : '',
  ].filter(way => way !== '')
  const text = ways.join(' or ')
  return text === '' ? '' : ` ${upperFirst(text)}.`
}

/** The number, the rule and what to do. `readabilityG` is the mixing scale's division. */
export function verdictWords(j: Judgement, as: Notation, readabilityG: Grams): string {
  if (!j.lot)
    return `Salt only: no nitrite. Keep it at ${formatLimit(COLD_SMOKE_SALT_ONLY_C, as)} or colder all the way, cook before eating.`
  if (j.meaning === 'open' && j.status === 'limit_not_shown') return openWords(j, as)
  const upTo = `${whichWords(j)}${j.meaning === 'upper_bound' ? 'up to ' : ''}`
  const got = upperFirst(`${upTo}${formatPpm(j.lot.ppm, as)}`)
  const floor = formatPpm(j.floorPpm, as)
  const { lot } = j
  const beside = (ppm: Ppm, limit: number | null | undefined) =>
    limit === null || limit === undefined ? formatPpm(ppm, as) : formatPpmBeside(ppm, limit, as)
  const missed = lot.ppm < (j.house?.floorPpm ?? 0) ? j.house?.floorPpm : j.house?.maxPpm
  const then = fix(j, as, readabilityG)
  switch (j.status) {
    case 'inside':
      return `${got}, inside ${floor} to ${ruleWords(j, as)}.`
    case 'up_to':
      return `${got}, limit ${ruleWords(j, as)}. What the meat took up is not known without a test: cool it as if it were not cured.`
    case 'outside_house':
      return `${upperFirst(`${upTo}${beside(lot.ppm, missed)}`)}, inside the law but not inside this shop's own `
        + `limits${houseWords(j, as)}.${then}`
    case 'above_limit':
      return `${upperFirst(`${upTo}${beside(lot.ppm, j.maxPpm)}`)}, limit ${ruleWords(j, as)}.${then}`
    case 'limit_not_shown':
      return `${got}, but it may be up to ${beside(lot.highPpm, j.maxPpm)}; limit ${ruleWords(j, as)}.${then}`
    case 'below_floor':
      return `${upperFirst(`${upTo}${beside(lot.ppm, j.floorPpm)}`)}, `
        + `below the floor of ${floor} (${j.floorSource}): too little is a hazard too.${then}`
    case 'floor_not_shown':
      return `${got}, but it may be only ${beside(lot.lowPpm, j.floorPpm)}; floor ${floor} (${j.floorSource}).${then}`
    case 'no_nitrite':
      return ''
  }
}

/** "pieces 3 and 4: ", where something went on them alone and their figure decides. */
const whichWords = ({ decides }: Judgement): string =>
  decides ? `${piecesWords(decides)}: ` : ''

/** The words where nobody weighed all of it: nothing but the least can be said. */
const openWords = (j: Judgement, as: Notation): string => {
  const least = j.lot!.lowPpm > 0 ? `at least ${formatPpm(j.lot!.lowPpm, as)}` : 'how much is not known'
  return `${upperFirst(`${whichWords(j)}${least}`)}, and more went on that nobody weighed: `
    + `the limit of ${ruleWords(j, as)} is not shown. The owner decides.`
}

const houseWords = (j: Judgement, as: Notation): string => {
  const { floorPpm = null, maxPpm = null } = j.house ?? {}
  const ends = [
    floorPpm === null ? '' : `from ${formatPpm(floorPpm, as)}`,
    maxPpm === null ? '' : `to ${formatPpm(maxPpm, as)}`,
  ].filter(end => end !== '')
  return ends.length ? ` (${ends.join(' ')})` : ''
}

export const STATUS_WORDS: Record<Judgement['status'], string> = {
  inside: 'inside the limits',
  up_to: 'upper bound inside',
  outside_house: 'outside the shop\'s limits',
  above_limit: 'above the limit',
  limit_not_shown: 'may be above the limit',
  below_floor: 'below the floor',
  floor_not_shown: 'may be below the floor',
  no_nitrite: 'salt only',
}

/**
 * How far off it can be: the lot by the worst case and by k = 2, and the piece that is known least. Empty for salt
 * only.
 */
export function doubtWords(j: Judgement, as: Notation): string {
  if (!j.lot || j.meaning === 'open') return ''
  const least = j.meaning === 'upper_bound' ? '' : `${formatPpm(j.lot.lowPpm, as)} to `
  const widest = j.pieces.reduce((wide, piece) => Math.max(wide, piece.expandedPpm), 0)
  const each = j.pieces.length > 1 && Number.isFinite(widest) ? `; each piece ± ${formatPpm(widest, as)} or better` : ''
  return `At worst ${j.meaning === 'upper_bound' ? 'up to ' : least}${formatPpm(j.lot.highPpm, as)}; `
    + `± ${formatPpm(j.lot.expandedPpm, as)} (k = 2)${each}.`
}

/** What follows from a verdict, said at the Bench before it stops the lot days later. Empty where nothing does. */
export const heldWords = (j: Judgement): string =>
  holdsLot(j.status) ? 'Rubbed like this it is held: no heat, no slicing and no sending until the owner decides.' : ''

/**
 * That a laboratory will be needed before it goes out, and with how much nitrite not; empty where the finished weight
 * will do.
 */
export function labWords(j: Judgement, yieldShare: Fraction | null, as: Notation): string {
  const needed = j.lot && labNeeded({ residual: j.residual, ppm: j.lot.ppm, highPpm: j.lot.highPpm, yieldShare })
  if (!needed) return ''
  const share = `${formatNumber(needed.yieldShare * 100, 0, as.decimal)} %`
  return `At ${formatPpm(j.lot!.ppm, as)} and ${needed.isUsual ? 'your usual yield' : 'a yield'} of ${share} a laboratory will `
    + `be needed before it goes out; at ${formatPpm(needed.underPpm, as)} not.`
}

/** The line under every verdict. */
export const standingWords = (j: Judgement, as: Notation): string => {
  const rules = `${j.jurisdiction} rules: ${j.row.source}`
  const confirmed = j.confirmed
    ? `confirmed by ${j.confirmed.by} on ${formatDateInYear(j.confirmed.on, as.dates)}`
    : 'not confirmed by this shop'
  const lab = j.residual.length
    ? ' Before it goes out it must be shown what is left in the product, '
    + 'by its finished weight or by a '
    + `laboratory${j.residual.some(row => row.maxPpm !== null)
      ? ` (${j.residual.flatMap(row => (row.maxPpm === null ? [] : formatPpm(row.maxPpm, as))).join(', ')} at most)`
      : ''}.`
    : ''
  return `${rules}; ${confirmed}.${lab} An aid: your inspector and local code decide.`
}

/** What a figure means, for the method it was cured by. */
export const MEANING_WORDS: Record<Judgement['meaning'], string> = {
  exact: 'what went in',
  upper_bound: 'the most that can have gone in',
  open: 'the least that went in: more went on without weighing',
  none: 'no nitrite',
}

/** How a lot or a recipe is cured: "measured dry", "measured dry, salt only". */
export const methodWords = (method: CureMethod, saltOnly: boolean): string =>
  `${METHOD_WORDS[method].name.toLowerCase()}${saltOnly && method !== 'salt_only' ? ', salt only' : ''}`

export const METHOD_WORDS: Record<CureMethod, { name: string; means: string }> = {
  dry: {
    name: 'Measured dry',
    means:
      'All that is weighed goes on: the ppm is what went in. '
      + 'Liquid that leaves takes some along, most on the first day: keep that in the bag or tub, pour off later, '
      + 'and tell roughly how much, or the lot cools by the stricter rule.',
  },
  two_applications: {
    name: 'Two applications',
    means:
      'Half now, the rest after the first draining: the ppm is what goes in with both. '
      + 'Tell roughly how much was drained: the least that stayed decides how the lot cools.',
  },
  excess: {
    name: 'Excess (salt box)',
    means: 'More goes on than is taken up. Applied ppm is only an upper bound; weigh back what is shaken off.',
  },
  wet_equilibrium: {
    name: 'Brine until even',
    means: 'Meat and brine share what is in both: the ppm is exact once they are even.',
  },
  wet_pick_up: {
    name: 'Brine by pick-up',
    means: 'Taken out before it is even. Weigh before and after; until then the ppm is the most it can be.',
  },
  salt_only: { name: 'Salt only', means: 'No nitrite, so no ppm. Its own, stricter limits hold.' },
}
