import { isLeft } from '../lots/finished'
import { cureDay } from '../curing/cure-day'
import type { Lying } from '../places/daily'
import { dueOf } from '../plan/due'
import type { DueLot } from '../plan/due-lot'
import { DUE_IN_CURE, type DueKind } from '../plan/due-thing'
import type { Plan } from '../plan/plan'
import { MS_PER_DAY, type Grams, type Milliseconds } from '../units/quantities'
import type { Task, TaskKind } from './task'

/** What Today needs to know of a lot. */
export interface LotFacts extends Omit<DueLot, 'plan' | 'piecePlans' | 'pieces'> {
  code: string
  /** True for salt only: its places are read more often. */
  saltOnly?: boolean
  readyFromDay: number
  bestByDay: number
  cureEndedAtMs: Milliseconds | null
  plan: { plan: Plan; assumed: boolean }
  piecePlans: readonly { pieces: readonly number[] | null; plan: Plan }[]
  /** Two applications, of which the second is still to come; it goes on after the first draining. */
  secondDue?: boolean
  drainedAtMs?: Milliseconds | null
  openHolds: readonly string[]
  runs: readonly { code: string; pulledAtMs: Milliseconds | null; cooled: boolean; cold: boolean; pieces: number }[]
  pieces: readonly (Lying & DueLot['pieces'][number] & { goneAtMs?: Milliseconds | null })[]
  packs: number
  unsent: number
  /** Ready to slice, and what of it is neither packed nor off; null until it was weighed. */
  readyG: Grams | null
  leftG: Grams | null
  unsliced?: number
}

/** A lot as its plans ask of it. */
export const dueLot = (lot: Omit<LotFacts, 'runs' | 'openHolds' | 'packs' | 'unsent' | 'readyG' | 'leftG' | 'cureEndedAtMs'>): DueLot => ({
  ...lot,
  pieces: lot.pieces.filter(piece => (piece.goneAtMs ?? null) === null),
  plan: lot.plan.plan,
  piecePlans: lot.piecePlans.map(({ pieces, plan }) => ({ pieces: pieces ?? [], plan })),
})

/** What a plan asks, as Today names it; null: told in a room of its own, or not yet. */
const TASK_OF: Partial<Record<DueKind, TaskKind>> = {
  turn: 'turn',
  drain: 'drain',
  look: 'look',
  add: 'add',
  out: 'end_cure',
  touch: 'touch',
  fry_test: 'fry_test',
  rinse: 'rinse',
  soak: 'soak',
  rest: 'rest',
  dry: 'dry',
  flavour: 'flavour',
  heat: 'smoke',
  cut: 'cut',
  hang: 'hang',
  weigh: 'weigh',
  humidity: 'humidity',
  slice: 'slice',
}

/** What is to be done with a lot: what its plans ask, a second application, packs to send. */
export function lotTasks(lot: LotFacts, nowMs: Milliseconds): Task[] {
  const task = (kind: TaskKind, byMs: Milliseconds | null = null, late = false): Task => ({
    kind,
    subject: lot.code,
    byMs,
    late,
  })
  const asked = dueOf(dueLot(lot), nowMs)
    .filter(due => due.notBeforeMs === null)
    .flatMap((due): (Task & { inCure: boolean })[] => {
      const kind = TASK_OF[due.kind]
      const { pieces, because, item, add } = due
      // The second application is a task of its own.
      if (because.why === 'drained' && lot.secondDue) return []
      return kind ? [{ ...task(kind, due.byMs, due.late), pieces, because, item, add, inCure: DUE_IN_CURE.has(due.kind) }] : []
    })
  const tasks = (some: typeof asked) => some.map(({ inCure: _inCure, ...one }): Task => one)
  const isLate = nowMs - (lot.drainedAtMs ?? nowMs) > MS_PER_DAY
  const curing = [
    ...tasks(asked.filter(one => one.inCure)),
    ...(lot.cureEndedAtMs === null && lot.secondDue && lot.drainedAtMs ? [task('second_half', null, isLate)] : []),
  ]
  return waitsForOwner(lot) ? [] : [...planTask(lot, nowMs), ...curing, ...outTasks(lot, tasks(asked.filter(one => !one.inCure)))]
}

/** A held lot that is out of the cure waits for the owner, not for the floor. */
export const waitsForOwner = ({ openHolds, cureEndedAtMs }: Pick<LotFacts, 'openHolds' | 'cureEndedAtMs'>): boolean =>
  openHolds.length > 0 && cureEndedAtMs !== null

/** A lot of which nobody said whether it will be smoked at all: asked once its cure may be over. */
function planTask(lot: LotFacts, nowMs: Milliseconds): Task[] {
  const isSoon = lot.cureEndedAtMs !== null || cureDay(lot.rubbedOn, nowMs, lot.zone) >= lot.readyFromDay
  return lot.plan.assumed && isSoon && lot.runs.length === 0 && lot.packs === 0
    ? [{ kind: 'ask_plan', subject: lot.code, byMs: null, late: false }]
    : []
}

/** Tasks after the cure: what the plan asks, held against the smokehouse and what was sliced already. */
function outTasks(lot: LotFacts, asked: Task[]): Task[] {
  const task = (kind: TaskKind): Task => ({ kind, subject: lot.code, byMs: null, late: false })
  const free = lot.runs.every(run => run.pulledAtMs !== null && run.cooled)
  if (lot.packs > 0) {
    const onTable = free && isLeft({ ...lot, unsliced: 0 }) ? [task('slice')] : []
    // Some pieces of a lot may be in packs while others hang, or are still to be smoked.
    const others = (lot.unsliced ?? 0) > 0 ? asked : []
    return [...onTable, ...others, ...(lot.unsent > 0 ? [task('send')] : [])]
  }
  if (!free) return asked.filter(one => one.kind !== 'smoke' && one.kind !== 'slice')
  if (!lot.plan.assumed || lot.runs.length === 0) return asked
  // Another cold session may follow one; and of some pieces nobody knows yet.
  const hot = lot.runs.filter(run => !run.cold)
  return [task(hot.length > 0 && lot.runs.some(run => run.pieces === lot.pieces.length) ? 'slice' : 'go_on')]
}
