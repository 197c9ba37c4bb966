import { addDays, instantOf, type IsoDate } from '../calendar/local-day'
import type { Milliseconds } from '../units/quantities'

/** `coming`: not yet; `due`: to be done today; `late`: past its hour; `missed`: its time is over. */
export type KnotState = 'done' | 'coming' | 'due' | 'late' | 'missed'
export type Face = 'up' | 'down'

export interface Knot {
  /** 1 is the first turn after rubbing. */
  turn: number
  /** Cure day on which it is due. */
  day: number
  state: KnotState
  /** The face that lies up after this turn; null unless done. Pieces start flesh side up. */
  face: Face | null
  doneMs: Milliseconds | null
  dueMs: Milliseconds
}

export interface TwineQuestion {
  rubbedOn: IsoDate
  zone: string
  /** 0.5 (twice a day), 1, 2 or 3. */
  turnEveryDays: number
  /** The hour by which a day's turn should be done, "18:00". */
  turnBy: string
  /** Last cure day that is drawn. */
  lastDay: number
  turnsMs: readonly Milliseconds[]
  nowMs: Milliseconds
  /** When the pieces left the cure; turns due after it are not asked for. */
  endedMs: Milliseconds | null
}

const NOON = '12:00'
const MIDNIGHT = '00:00'

interface Slot {
  day: number
  fromMs: Milliseconds
  dueDayMs: Milliseconds
  dueMs: Milliseconds
  untilMs: Milliseconds
}

function slots(q: TwineQuestion): Slot[] {
  const at = (day: number, time: string) => instantOf(addDays(q.rubbedOn, day), time, q.zone)
  const found: Slot[] = []
  if (q.turnEveryDays < 1) {
    for (let day = 1; day <= q.lastDay; day++) {
      found.push({
        day,
        fromMs: at(day, MIDNIGHT),
        dueDayMs: at(day, MIDNIGHT),
        dueMs: at(day, NOON),
        untilMs: at(day, NOON),
      })
      found.push({
        day,
        fromMs: at(day, NOON),
        dueDayMs: at(day, NOON),
        dueMs: at(day, q.turnBy),
        untilMs: at(day + 1, MIDNIGHT),
      })
    }
    return found
  }
  for (let day = q.turnEveryDays; day <= q.lastDay; day += q.turnEveryDays) {
    found.push({
      day,
      fromMs: at(day - q.turnEveryDays + 1, MIDNIGHT),
      dueDayMs: at(day, MIDNIGHT),
      dueMs: at(day, q.turnBy),
      untilMs: at(day + 1, MIDNIGHT),
    })
  }
  return found
}

function stateOf(slot: Slot, doneMs: Milliseconds | null, nowMs: Milliseconds): KnotState {
  if (doneMs !== null) return 'done'
  if (nowMs >= slot.untilMs) return 'missed'
  if (nowMs >= slot.dueMs) return 'late'
  return nowMs >= slot.dueDayMs ? 'due' : 'coming'
}

/**
 * The turns of a lot, from day 1 to `lastDay` or the end of the cure. A turn counts for the stretch of days it
 * falls in; two in one stretch tie one knot. A turn recorded on day 0 ties none. Inputs stay untouched.
 */
export function twine(q: TwineQuestion): Knot[] {
  let turned = 0
  return slots(q)
    .filter(
      slot =>
        q.endedMs === null || slot.untilMs <= q.endedMs || q.turnsMs.some(ms => ms >= slot.fromMs && ms < slot.untilMs),
    )
    .map((slot, i) => {
      const doneMs = q.turnsMs.find(ms => ms >= slot.fromMs && ms < slot.untilMs) ?? null
      if (doneMs !== null) turned++
      const face: Face | null = doneMs === null ? null : turned % 2 === 1 ? 'down' : 'up'
      return { turn: i + 1, day: slot.day, state: stateOf(slot, doneMs, q.nowMs), face, doneMs, dueMs: slot.dueMs }
    })
}

/** The turn to do now, if any: the late or due knot. */
export const openKnot = (knots: readonly Knot[]): Knot | null =>
  knots.find(knot => knot.state === 'late' || knot.state === 'due') ?? null
