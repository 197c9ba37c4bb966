import { COOLING_EVERY_MS, FRIDGE_EVERY_MS, NEAR_KILL, SMOKE_EVERY_MS } from '../rules/house'
import { addDays, daysBetween, localDay, type IsoDate } from '../calendar/local-day'
import { lotKnots, type TurningLot } from '../life/lot-knots'
import { isReadDaily, lyingIn, type Lying } from '../places/daily'
import type { PlaceKind, PlaceUse } from '../places/place-kind'
import { isLeft } from '../lots/finished'
import { MS_PER_DAY, MS_PER_HOUR, type Celsius, type Grams, type Milliseconds } from '../units/quantities'

/** What Today needs to know of a lot. */
export interface LotFacts extends TurningLot {
  code: string
  readyFromDay: number
  /** Two applications, of which the second is still to come; it goes on after the first draining. */
  secondDue?: boolean
  drainedAtMs?: Milliseconds | null
  openHolds: readonly string[]
  runs: readonly { code: string; pulledAtMs: Milliseconds | null; cooled: boolean; cold: boolean; pieces: number }[]
  pieces: readonly (Lying & TurningLot['pieces'][number])[]
  packs: number
  unsent: number
  /** Ready to slice, and what of it is neither packed nor off; null until it was weighed. */
  readyG: Grams | null
  leftG: Grams | null
}

export interface RunFacts {
  code: string
  pulledAtMs: Milliseconds | null
  lastReadingMs: Milliseconds | null
  lastCoreC: Celsius | null
  startedAtMs: Milliseconds
  cooled: boolean
}
export interface PlaceFacts {
  id: number
  name: string
  kind: PlaceKind
  uses: readonly PlaceUse[]
  readings: readonly { atMs: Milliseconds; tempC: Celsius | null }[]
}

export const TASK_KINDS = [
  'turn',
  'second_half',
  'end_cure',
  'read_place',
  'read_smoke',
  'read_cooling',
  'smoke',
  'go_on',
  'slice',
  'send',
] as const
export type TaskKind = (typeof TASK_KINDS)[number]

export interface Task {
  kind: TaskKind
  /** A lot's or a run's code, or a place's name. */
  subject: string
  /** By when; null when any time today will do. */
  byMs: Milliseconds | null
  late: boolean
}

function lotTask(lot: LotFacts, nowMs: Milliseconds): Task[] {
  const task = (kind: TaskKind, byMs: Milliseconds | null = null, late = false): Task => ({
    kind,
    subject: lot.code,
    byMs,
    late,
  })
  if (lot.cureEndedAtMs === null) {
    const day = daysBetween(lot.rubbedOn, localDay(nowMs, lot.zone))
    const { open: knot } = lotKnots(lot, nowMs)
    return [
      ...(knot ? [task('turn', knot.dueMs, nowMs >= knot.dueMs)] : []),
      ...(lot.secondDue && lot.drainedAtMs ? [task('second_half', null, nowMs - lot.drainedAtMs > MS_PER_DAY)] : []),
      ...(day >= lot.readyFromDay ? [task('end_cure', null, day > lot.bestByDay)] : []),
    ]
  }
  // A held lot waits for the owner, not for the floor.
  if (lot.openHolds.length > 0) return []
  const free = lot.runs.every(run => run.pulledAtMs !== null && run.cooled)
  if (lot.packs > 0) return [...(free && isLeft(lot) ? [task('slice')] : []), ...(lot.unsent > 0 ? [task('send')] : [])]
  if (lot.runs.length === 0) return [task('smoke')]
  if (!free) return []
  // After one cold session there may be another; and of some pieces nobody knows yet.
  const hot = lot.runs.filter(run => !run.cold)
  return [task(hot.length > 0 && lot.runs.some(run => run.pieces === lot.pieces.length) ? 'slice' : 'go_on')]
}

function runTask(run: RunFacts): Task[] {
  const lastMs = run.lastReadingMs ?? run.startedAtMs
  if (run.pulledAtMs === null)
    return [
      {
        kind: 'read_smoke',
        subject: run.code,
        byMs: lastMs + ((run.lastCoreC ?? 0) >= NEAR_KILL.fromC ? NEAR_KILL.everyMs : SMOKE_EVERY_MS),
        late: false,
      },
    ]
  return run.cooled ? [] : [{ kind: 'read_cooling', subject: run.code, byMs: lastMs + COOLING_EVERY_MS, late: false }]
}

/** Places that meat lies in are read; what only heats is read with its heat. */
function placeTasks({ places, lots }: { places: readonly PlaceFacts[]; lots: readonly LotFacts[] }, nowMs: Milliseconds): Task[] {
  const pieces = lots.flatMap(lot => lot.pieces)
  return places
    .filter(place => isReadDaily({ kind: place.kind, can: place.uses }, lyingIn(place.id, pieces).length > 0))
    .map(({ name, readings }) => {
      const last = readings.findLast(reading => reading.tempC !== null)
      return { kind: 'read_place', subject: name, byMs: last ? last.atMs + FRIDGE_EVERY_MS : nowMs, late: false }
    })
}

/**
 * What is to be done now, soonest first, late ones on top. Readings are asked for when they are due within the hour.
 */
export function tasksNow(
  floor: { lots: readonly LotFacts[]; runs: readonly RunFacts[]; places: readonly PlaceFacts[] },
  nowMs: Milliseconds,
): Task[] {
  const readings = [...floor.runs.flatMap(runTask), ...placeTasks(floor, nowMs)]
    .filter(task => task.byMs === null || task.byMs <= nowMs + MS_PER_HOUR)
    .map(task => ({ ...task, late: task.byMs !== null && task.byMs < nowMs }))
  return [...floor.lots.flatMap(lot => lotTask(lot, nowMs)), ...readings].toSorted(
    (a, b) => Number(b.late) - Number(a.late) || (a.byMs ?? Infinity) - (b.byMs ?? Infinity),
  )
}

export interface ComingDay {
  date: IsoDate
  ready: string[]
  bestBy: string[]
}

/**
 * Lots in the cure that become ready, or reach their best-by day, on each of the next `days` calendar days from today.
 */
export function comingDays(lots: readonly LotFacts[], nowMs: Milliseconds, zone: string, days: number): ComingDay[] {
  const today = localDay(nowMs, zone)
  const curing = lots.filter(lot => lot.cureEndedAtMs === null)
  return Array.from({ length: days }, (_, i) => {
    const date = addDays(today, i)
    const on = (dayOf: (lot: LotFacts) => number) =>
      curing.filter(lot => addDays(lot.rubbedOn, dayOf(lot)) === date).map(lot => lot.code)
    return { date, ready: on(lot => lot.readyFromDay), bestBy: on(lot => lot.bestByDay) }
  })
}
