import type { RhythmSegment } from '../turning/rhythm'
import type { AddFace } from '../life/kinds/add'
import type { DryWay } from '../life/kinds/dry'
import type { FlavourWay } from '../life/kinds/flavour'
import type { RestWay } from '../life/kinds/rest'
import type { PieceFace } from '../life/kinds/turn'
import type { Fraction } from '../units/quantities'

/** A span of hours: at least so many, at most so many. */
export interface HourSpan {
  from: number
  to: number
}

/**
 * `each_turn`: on whichever face comes up, up to a cure day; `after_draining`: once, after the first liquid is gone.
 */
export type AddWhen = { on: 'day'; day: number } | { on: 'each_turn'; toDay: number } | { on: 'after_draining' }
/** What is meant to go on later. `share` of the lot's mix, over all its turns; null: as much as the look of it asks. */
export interface PlannedAdd {
  when: AddWhen
  face: AddFace
  share: Fraction | null
}

/** How the cure is meant to go, from the rub to its end. */
export interface CurePlan {
  /** Stretches in order, the first from turning day 0; `everyDays` null: never turned. */
  rhythm: readonly RhythmSegment[]
  /** Null: nobody cares. */
  firstFace: PieceFace | null
  /** Lies three or four high, the order changed with each turn. */
  stacked: boolean
  /** Poured off every so many days; null: the liquid stays with the meat. */
  pourOffEveryDays: number | null
  /** Cure days on which it is looked at. */
  looks: readonly number[]
  adds: readonly PlannedAdd[]
}

/**
 * `days`: even by then, longer only adds flavour; `feel`: stiff throughout; `hard`: gets saltier, out by the last day.
 */
export const END_WAYS = ['days', 'feel', 'hard'] as const
export type EndWay = (typeof END_WAYS)[number]
export interface CureEnd {
  by: EndWay
  /** Cure days, 0 being the rub's. */
  fromDay: number
  toDay: number
  /** A hard end counts from the first salt, unless the plan says the last. */
  from: 'first_salt' | 'last_salt'
}

export const HEAT_WAYS = ['cold', 'hot', 'bath', 'oven'] as const
export type HeatWay = (typeof HEAT_WAYS)[number]
export const CUT_WAYS = ['rind_off', 'trim', 'divide'] as const
export type CutWay = (typeof CUT_WAYS)[number]

/** What each item after the cure says. `hours` null: as long as it takes. */
export interface FiguresOfItem {
  rinse: { times: number }
  soak: { hours: HourSpan; changes: number; litresPerKg: number | null }
  rest: { how: RestWay; hours: HourSpan }
  dry: { how: DryWay; hours: HourSpan; untilTacky: boolean }
  flavour: { how: FlavourWay; hours: HourSpan | null }
  heat: { how: HeatWay; sessions: number; hours: HourSpan | null }
  cut: { what: CutWay }
  hang: { lossFrom: Fraction; lossTo: Fraction; rhByDay: readonly { fromDay: number; percent: number }[] }
  chill: { hours: HourSpan }
  slice: Readonly<Record<never, never>>
  freeze: Readonly<Record<never, never>>
}
export const PLAN_ITEM_KINDS = [
  'rinse',
  'soak',
  'rest',
  'dry',
  'flavour',
  'heat',
  'cut',
  'hang',
  'chill',
  'slice',
  'freeze',
] as const satisfies readonly (keyof FiguresOfItem)[]
export type PlanItemKind = (typeof PLAN_ITEM_KINDS)[number]
export type PlanItemOf<K extends PlanItemKind> = { [Kind in K]: { kind: Kind } & FiguresOfItem[Kind] }[K]
export type PlanItem = PlanItemOf<PlanItemKind>

/** What a maker intends with a lot: no graph and no conditions, an order. */
export interface Plan {
  cure: CurePlan
  end: CureEnd
  /** What is done after the cure, in this order. */
  then: readonly PlanItem[]
}

/** Items that leave the surface wet: smoke wants drying after the last of them. */
export const WETS: ReadonlySet<PlanItemKind> = new Set<PlanItemKind>(['rinse', 'soak'])

/** "Every 3 to 4": asked for from the third day of each four. */
const LOOSE = { every: 4, from: 3 } as const
/** A rhythm of one stretch, by the days between turns; 4 is "every 3 to 4", null never. */
export const steadyRhythm = (everyDays: number | null): RhythmSegment[] => [
  { fromDay: 0, everyDays, how: 'turned', ...(everyDays === LOOSE.every ? { earliest: LOOSE.from } : {}) },
]

/** The liquid poured off every so many days, as a rhythm; empty where it stays. */
export const pourRhythm = ({ pourOffEveryDays }: CurePlan): RhythmSegment[] =>
  pourOffEveryDays === null ? [] : [{ fromDay: 0, everyDays: pourOffEveryDays, how: 'turned' }]

/** The same plan, its cure over from one cure day to another. */
export const withDays = (plan: Plan, fromDay: number, toDay: number): Plan => ({
  ...plan,
  end: { ...plan.end, fromDay, toDay },
})
