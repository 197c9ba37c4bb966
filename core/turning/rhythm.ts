import { addDays } from '../calendar/local-day'
import { remembered } from '../calendar/remembered'
import { FIRST_HALF_AFTER_MS, HALF_DAY, TURNING_DAY_FROM } from '../rules/house'
import type { Milliseconds } from '../units/quantities'
import { onTurningDay, turningDate } from './turning-day'

/** Rhythms kept laid out: more than a floor has lots. */
const MOST_LAID_OUT = 1000

/** `turned`: over; `massaged` in its bag; `stirred` in a tub. Each ties the knot; only `turned` shows another face. */
export const TURN_WAYS = ['turned', 'massaged', 'stirred'] as const
export type TurnWay = (typeof TURN_WAYS)[number]
/** What a plan has on a turning day: one of the ways, or a bag that is massaged and turned over in one visit. */
export const PLANNED_TURNS = [...TURN_WAYS, 'massaged_turned'] as const
export type PlannedTurn = (typeof PLANNED_TURNS)[number]
/** The ways, in order of doing, of what a plan has: "massaged_turned" is massaged, then turned. */
export const waysOf = (how: PlannedTurn): readonly TurnWay[] => (how === 'massaged_turned' ? ['massaged', 'turned'] : [how])

/**
 * How often is turned from a turning day on, 0 being the rub's. `everyDays` is 0.5 (morning and evening), or whole
 * days; null: never. `earliest`: due from that day of each stretch on ("3 to 4" is every 4, from the 3rd).
 */
export interface RhythmSegment {
  fromDay: number
  everyDays: number | null
  earliest?: number
  how: PlannedTurn
}

/** The stretch of a rhythm that holds on a turning day; null before the first. */
export const segmentOn = (segments: readonly RhythmSegment[], day: number): RhythmSegment | null =>
  segments.findLast(segment => segment.fromDay <= day) ?? null

/** Rhythms that a lot is given at its rub, in days between turns; the last is "every 3 to 4". */
export const TURN_RHYTHMS = [0.5, 1, 2, 3, 4] as const

/** A stretch of the shop's clock in which one turn is meant to happen. */
export interface Slot {
  /** The turning day on which it is due, 0 being the rub's. */
  day: number
  fromMs: Milliseconds
  /** The instant from which the turn is asked for. */
  dueFromMs: Milliseconds
  /** The instant after which it is late. */
  dueMs: Milliseconds
  /** The instant from which it is over. */
  untilMs: Milliseconds
  how: PlannedTurn
}

export interface RhythmQuestion {
  rubbedAtMs: Milliseconds
  zone: string
  /** Stretches in order of `fromDay`, the first from day 0. */
  segments: readonly RhythmSegment[]
  /** The shop's hour by which a day's turn should be done, "18:00". */
  turnBy: string
  /** Last turning day that is laid out. */
  lastDay: number
}

/** Both ends of a turning day and what lies between them. */
type Half = 'morning' | 'evening'

/**
 * Slots of a rhythm from the rub to its last day, in order, without gap or overlap but where nothing is turned. A
 * change of rhythm begins at the next slot's edge and counts from there; the open slot stays as it is. The first half
 * day is one that begins 6 h or more after the rub.
 */
export const slotsOf = ({ rubbedAtMs, zone, turnBy, lastDay, segments }: RhythmQuestion): readonly Slot[] =>
  laidOut(rubbedAtMs, zone, turnBy, lastDay, JSON.stringify(segments))

/** The same slots are asked for at every tick of the clock, for every lot on the floor. */
const laidOut = remembered(
  (rubbedAtMs: Milliseconds, zone: string, turnBy: string, lastDay: number, segments: string): readonly Slot[] =>
    layOut({ rubbedAtMs, zone, turnBy, lastDay, segments: JSON.parse(segments) as RhythmSegment[] }),
  MOST_LAID_OUT,
)

function layOut(question: RhythmQuestion): Slot[] {
  const { segments, lastDay } = question
  const at = clockOf(question)
  const nextChange = (day: number) => segments.find(segment => segment.fromDay > day)?.fromDay ?? Infinity
  const slots: Slot[] = []
  let [day, half]: [number, Half] = [0, 'morning']
  while (day <= lastDay) {
    const segment = segmentOn(segments, day)
    if (!segment || segment.everyDays === null) {
      day = Math.max(day + 1, nextChange(day))
      half = 'morning'
    }
    else if (segment.everyDays < 1) {
      const slot = halfSlot(day, half, segment.how, question, at)
      if (slot.fromMs >= question.rubbedAtMs + FIRST_HALF_AFTER_MS) slots.push(slot)
      if (half === 'evening') day += 1
      half = half === 'morning' ? 'evening' : 'morning'
    }
    else {
      // Whole days are counted after the rub's own.
      const first = Math.max(1, half === 'evening' ? day + 1 : day)
      const last = first + segment.everyDays - 1
      if (last <= lastDay)
        slots.push({
          day: last,
          fromMs: at(first, TURNING_DAY_FROM),
          dueFromMs: at(first + (segment.earliest ?? segment.everyDays) - 1, TURNING_DAY_FROM),
          dueMs: at(last, question.turnBy),
          untilMs: at(last + 1, TURNING_DAY_FROM),
          how: segment.how,
        })
      day = last + 1
      half = 'morning'
    }
  }
  return slots
}

type Clock = (day: number, time: string) => Milliseconds

function clockOf({ rubbedAtMs, zone }: RhythmQuestion): Clock {
  const rubDate = turningDate(rubbedAtMs, zone)
  return (day, time) => onTurningDay(addDays(rubDate, day), time, zone)
}

function halfSlot(day: number, half: Half, how: PlannedTurn, { turnBy }: RhythmQuestion, at: Clock): Slot {
  const middle = at(day, HALF_DAY.splitAt)
  if (half === 'morning')
    return {
      day,
      fromMs: at(day, TURNING_DAY_FROM),
      dueFromMs: at(day, TURNING_DAY_FROM),
      dueMs: at(day, HALF_DAY.morningBy),
      untilMs: middle,
      how,
    }
  // A shop's hour in the morning says nothing about the evening.
  const byMs = at(day, turnBy)
  return {
    day,
    fromMs: middle,
    dueFromMs: middle,
    dueMs: byMs > middle ? byMs : at(day, HALF_DAY.eveningBy),
    untilMs: at(day + 1, TURNING_DAY_FROM),
    how,
  }
}
