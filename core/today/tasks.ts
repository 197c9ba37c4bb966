import { unreadLimits } from '../places/unread'
import { COOLING_EVERY_MS, NEAR_KILL, SMOKE_EVERY_MS } from '../rules/house'
import { isReadDaily, lyingIn } from '../places/daily'
import type { PlaceKind, PlaceUse } from '../places/place-kind'
import { MS_PER_HOUR, type Celsius, type Milliseconds } from '../units/quantities'
import { lotTasks, type LotFacts } from './lot-tasks'
import type { Task } from './task'

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
    .map(({ id, name, kind, uses, readings }) => {
      const last = readings.findLast(reading => reading.tempC !== null)
      const saltOnly = lots.some(lot => lot.saltOnly && lyingIn(id, lot.pieces).length > 0)
      const { askMs } = unreadLimits({ kind, can: uses }, saltOnly)!
      return { kind: 'read_place', subject: name, byMs: last ? last.atMs + askMs : nowMs, late: false }
    })
}

/**
 * What is to be done now, soonest first, late ones on top. Readings are asked for when they are due within the hour.
 * `tasksOf`: what is asked of one lot, for a page that remembers it.
 */
export function tasksNow(
  floor: { lots: readonly LotFacts[]; runs: readonly RunFacts[]; places: readonly PlaceFacts[] },
  nowMs: Milliseconds,
  tasksOf = lotTasks,
): Task[] {
  const readings = [...floor.runs.flatMap(runTask), ...placeTasks(floor, nowMs)]
    .filter(task => task.byMs === null || task.byMs <= nowMs + MS_PER_HOUR)
    .map(task => ({ ...task, late: task.byMs !== null && task.byMs < nowMs }))
  return [...floor.lots.flatMap(lot => tasksOf(lot, nowMs)), ...readings].toSorted(
    (a, b) => Number(b.late) - Number(a.late) || (a.byMs ?? Infinity) - (b.byMs ?? Infinity),
  )
}
