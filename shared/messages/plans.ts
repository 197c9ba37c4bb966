import type { PlannedTurn, RhythmSegment } from '#core/turning/rhythm'
import type { Plan, PlannedAdd, PlanItem, PlanItemKind, PlanItemOf, CutWay, HeatWay, HourSpan } from '#core/plan/plan'
import type { FlavourWay } from '#core/life/kinds/flavour'
import { upperFirst } from '#core/lists/upper-first'
import { formatNumber, type Notation } from '#core/units/format'
import { DRY_WORDS } from '../steps/dry'
import { ON_FACE } from '../steps/add'
import { REST_WORDS } from '../steps/rest'

/** A line of a plan, known by what it is about. */
export interface PlanLine {
  about: 'rhythm' | 'face' | 'stacked' | 'liquid' | 'looks' | 'adds' | 'end' | 'then'
  words: string
}

export const PLANNED_TURN_WORDS: Record<PlannedTurn, string> = {
  turned: 'turned',
  massaged: 'massaged',
  stirred: 'stirred',
  massaged_turned: 'massaged and turned',
}
export const HEAT_WORDS: Record<HeatWay, string> = { cold: 'cold smoke', hot: 'hot smoke', bath: 'hot bath', oven: 'oven' }
export const FLAVOUR_WORDS: Record<FlavourWay, string> = { marinade: 'marinade', dry_spice: 'dry spice', glaze: 'glaze' }
export const CUT_WORDS: Record<CutWay, string> = { rind_off: 'rind off', trim: 'trim', divide: 'divide' }

const number = (value: number, as: Notation) => formatNumber(value, Number.isInteger(value) ? 0 : 1, as.decimal)
const unitOf = ({ from, to }: HourSpan): [string, number] =>
  to <= 2 && !Number.isInteger(from) ? ['min', 1 / 60] : from >= 48 ? ['days', 24] : ['h', 1]
/** "12 to 24 h", "30 to 60 min", "2 to 5 days". */
export function hoursWords({ from, to }: HourSpan, as: Notation): string {
  const [unit, by] = unitOf({ from, to })
  const [a, b] = [number(from / by, as), number(to / by, as)]
  return a === b ? `${a} ${unit}` : `${a} to ${b} ${unit}`
}

const times = (n: number) => (n === 1 ? '' : n === 2 ? ' twice' : ` ${n} times`)
/** "every 12 h", "daily", "every 2 days", "every 3 to 4 days", "never". */
export function everyWords({ everyDays, earliest }: Pick<RhythmSegment, 'everyDays' | 'earliest'>): string {
  if (everyDays === null) return 'never'
  if (everyDays < 1) return 'every 12 h'
  if (earliest !== undefined && earliest < everyDays) return `every ${earliest} to ${everyDays} days`
  return everyDays === 1 ? 'daily' : `every ${everyDays} days`
}
const segmentWords = (segment: RhythmSegment, i: number): string => {
  const every = everyWords(segment)
  const how = segment.everyDays === null ? `${every} turned` : `${PLANNED_TURN_WORDS[segment.how]} ${every}`
  return i === 0 ? how : `from day ${segment.fromDay} ${how}`
}

const ITEM: { [K in PlanItemKind]: (item: PlanItemOf<K>, as: Notation) => string } = {
  rinse: item => `rinse${times(item.times)}`,
  soak: (item, as) =>
    [
      `soak ${hoursWords(item.hours, as)}`,
      item.litresPerKg !== null && `${number(item.litresPerKg, as)} L a kg`,
      item.changes > 0 && `water changed${item.changes === 1 ? ' once' : times(item.changes)}`,
    ]
      .filter(Boolean)
      .join(', '),
  rest: (item, as) => `rest ${REST_WORDS[item.how]} ${hoursWords(item.hours, as)}`,
  dry: (item, as) => `dry ${DRY_WORDS[item.how]} ${hoursWords(item.hours, as)}${item.untilTacky ? ', till tacky' : ''}`,
  flavour: (item, as) => `${FLAVOUR_WORDS[item.how]}${item.hours ? ` ${hoursWords(item.hours, as)}` : ''}`,
  heat: ({ how, sessions, hours }, as) => {
    const [many, each] = sessions > 1 ? [` in ${sessions} sessions`, ' each'] : ['', '']
    return `${HEAT_WORDS[how]}${many}${hours ? `, ${hoursWords(hours, as)}${each}` : ''}`
  },
  cut: item => CUT_WORDS[item.what],
  hang: (item, as) => {
    const loss = `${number(100 * item.lossFrom, as)} to ${number(100 * item.lossTo, as)} %`
    const steps = item.rhByDay.map(one => `${one.percent} % RH${one.fromDay > 0 ? ` from day ${one.fromDay}` : ''}`)
    return [`hang to ${loss} loss`, ...steps].join(', ')
  },
  chill: (item, as) => `chill ${hoursWords(item.hours, as)}`,
  slice: () => 'slice',
  freeze: () => 'freeze',
}
export const itemWords = (item: PlanItem, as: Notation): string =>
  (ITEM[item.kind] as (one: PlanItem, as: Notation) => string)(item, as)

function addWords({ when, face, share }: PlannedAdd, as: Notation): string {
  const at
    = when.on === 'day'
      ? `on day ${when.day}`
      : when.on === 'each_turn' ? `with each turn to day ${when.toDay}` : 'after the first draining'
  return `more ${ON_FACE[face]} ${at}${shareWords(share, as)}`
}
const shareWords = (share: PlannedAdd['share'], as: Notation) => (share === null ? '' : `, ${number(100 * share, as)} % of it`)
/** "more on the flesh, 25 % of it". */
export const moreWords = ({ face, share }: PlannedAdd, as: Notation): string => `more ${ON_FACE[face]}${shareWords(share, as)}`

function endWords({ by, fromDay, toDay, from }: Plan['end']): string {
  const days = fromDay === toDay ? `day ${toDay}` : `day ${fromDay} to ${toDay}`
  if (by === 'hard') return `out by day ${toDay}${from === 'last_salt' ? ' after the last salt' : ''}, no longer`
  return by === 'feel' ? `out when it is stiff, ${days}` : `out on ${days}`
}

/** "turned daily, from day 4 every 2 days": how a plan turns, from first to last. */
export const rhythmWords = (rhythm: readonly RhythmSegment[]): string => rhythm.map(segmentWords).join(', ')

/** A plan line by line, in the order in which it is carried out. */
export function planLines({ cure, end, then }: Plan, as: Notation): PlanLine[] {
  const { rhythm, firstFace, stacked, pourOffEveryDays: pour, looks, adds } = cure
  return [
    { about: 'rhythm', words: rhythmWords(rhythm) },
    ...(firstFace ? [{ about: 'face' as const, words: `${firstFace} up first` }] : []),
    ...(stacked ? [{ about: 'stacked' as const, words: 'in a stack' }] : []),
    { about: 'liquid', words: pour === null ? 'liquid kept' : `liquid poured off ${everyWords({ everyDays: pour })}` },
    ...(looks.length > 0 ? [{ about: 'looks' as const, words: `looked at on day ${looks.join(', ')}` }] : []),
    ...(adds.length > 0 ? [{ about: 'adds' as const, words: adds.map(add => addWords(add, as)).join(', ') }] : []),
    { about: 'end', words: endWords(end) },
    ...(then.length > 0 ? [{ about: 'then' as const, words: then.map(item => itemWords(item, as)).join(' – ') }] : []),
  ]
}

/** A plan on one line. */
export const planWords = (plan: Plan, as: Notation): string => upperFirst(planLines(plan, as).map(line => line.words).join('; '))

/** What is different between two plans, in words; empty when nothing is. */
export function planChanges(before: Plan, after: Plan, as: Notation): { was: string | null; is: string | null }[] {
  const [was, is] = [planLines(before, as), planLines(after, as)]
  const abouts = new Set([...was, ...is].map(line => line.about))
  return [...abouts].flatMap((about) => {
    const words = (lines: PlanLine[]) => lines.find(line => line.about === about)?.words ?? null
    return words(was) === words(is) ? [] : [{ was: words(was), is: words(is) }]
  })
}
/** "liquid kept becomes liquid poured off daily". */
export const changesWords = (before: Plan, after: Plan, as: Notation): string =>
  planChanges(before, after, as)
    .map(({ was, is }) => (was === null ? `now ${is}` : is === null ? `no longer ${was}` : `${was} becomes ${is}`))
    .join('; ')
