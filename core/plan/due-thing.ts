import type { RhythmSegment } from '../turning/rhythm'
import type { Feel } from '../life/kinds/look'
import type { Fraction, Milliseconds } from '../units/quantities'
import type { HourSpan, PlanItem, PlanItemKind, PlannedAdd } from './plan'

/** What a plan asks of pieces. `touch`: is the surface tacky yet? `out`: the end of the cure. */
export type DueKind = 'turn' | 'drain' | 'look' | 'add' | 'out' | 'touch' | 'fry_test' | 'weigh' | 'humidity' | PlanItemKind

/** Asked of what cures; anything else of what is out. */
export const DUE_IN_CURE: ReadonlySet<DueKind> = new Set<DueKind>(['turn', 'drain', 'look', 'add', 'out'])

/** Why something is due, for the line that says so. */
export type DueWhy
  = | { why: 'rhythm'; rhythm: RhythmSegment }
    | { why: 'planned_day'; day: number }
    | { why: 'by_feel'; day: number }
    | { why: 'cure_day'; day: number; fromDay: number; toDay: number }
    | { why: 'felt'; feel: Feel; atMs: Milliseconds }
    | { why: 'hard_end'; toDay: number }
    | { why: 'next' }
    | { why: 'after'; going: PlanItemKind; sinceMs: Milliseconds; hours: HourSpan }
    | { why: 'weekly'; lastMs: Milliseconds | null }
    | { why: 'humidity'; day: number; percent: number }
    | { why: 'lost'; lost: Fraction; from: Fraction; to: Fraction }
    | { why: 'soaked' }
    | { why: 'drained' }
    | { why: 'turned' }
    | { why: 'session'; number: number; of: number }

/** Something to do with pieces of a lot. `pieces` null: all of the lot. */
export interface Due {
  kind: DueKind
  pieces: readonly number[] | null
  /** The earliest instant at which it may be done; null: at once. */
  notBeforeMs: Milliseconds | null
  /** The instant by which it is to be done; null: any time today. */
  byMs: Milliseconds | null
  late: boolean
  because: DueWhy
  /** The item of the plan that is meant: a plan may hold two of one kind. */
  item?: PlanItem
  /** What goes on, by itself or with a turn. */
  add?: PlannedAdd
}

/** Something due that may be done at once, any time today, unless more is said. */
export const due = (kind: DueKind, because: DueWhy, more: Partial<Due> = {}): Due => ({
  kind,
  pieces: null,
  notBeforeMs: null,
  byMs: null,
  late: false,
  because,
  ...more,
})
