import { COOLING_EVERY_MS, FRIDGE_EVERY_MS, NEAR_KILL, SMOKE_EVERY_MS } from '../rules/house'
import { addDays, daysBetween, localDay, type IsoDate } from '../calendar/local-day'
import { openKnot, twine } from '../curing/twine'
import { isLeft } from '../lots/finished'
import { MS_PER_DAY, MS_PER_HOUR, type Celsius, type Grams, type Milliseconds } from '../units/quantities'

/** What Today needs to know of a lot. */
export interface LotFacts {
  code: string
  rubbedOn: IsoDate
  zone: string
  readyFromDay: number
  bestByDay: number
  turnEveryDays: number
  turnBy: string
  cureEndedAtMs: Milliseconds | null
  /** Two applications, of which the second is still to come; it goes on after the first draining. */
  secondDue?: boolean
  drainedAtMs?: Milliseconds | null
  turns: readonly { atMs: Milliseconds }[]
  openHolds: readonly string[]
  runs: readonly { code: string; pulledAtMs: Milliseconds | null; cooled: boolean; cold: boolean; pieces: number }[]
  pieces: readonly unknown[]
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
export interface FridgeFacts {
  name: string
  readings: readonly { atMs: Milliseconds; tempC: Celsius }[]
}

export const TASK_KINDS = [
  'turn',
  'second_half',
  'end_cure',
  'read_fridge',
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
  /** A lot's or a run's code, or a fridge's name. */
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
    const knots = twine({
      rubbedOn: lot.rubbedOn,
      zone: lot.zone,
      turnEveryDays: lot.turnEveryDays,
      turnBy: lot.turnBy,
      lastDay: Math.max(lot.bestByDay, day),
      turnsMs: lot.turns.map(turn => turn.atMs),
      nowMs,
      endedMs: null,
    })
    const knot = openKnot(knots)
    return [
      ...(knot ? [task('turn', knot.dueMs, knot.state === 'late')] : []),
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

const fridgeTask = (fridge: FridgeFacts, nowMs: Milliseconds): Task => {
  const last = fridge.readings.at(-1)
  return { kind: 'read_fridge', subject: fridge.name, byMs: last ? last.atMs + FRIDGE_EVERY_MS : nowMs, late: false }
}

/**
 * What is to be done now, soonest first, late ones on top. Readings are asked for when they are due within the hour.
 */
export function tasksNow(
  floor: { lots: readonly LotFacts[]; runs: readonly RunFacts[]; fridges: readonly FridgeFacts[] },
  nowMs: Milliseconds,
): Task[] {
  const readings = [...floor.runs.flatMap(runTask), ...floor.fridges.map(fridge => fridgeTask(fridge, nowMs))]
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
