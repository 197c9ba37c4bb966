import type { DueWhy } from '../plan/due-thing'
import type { PlanItem, PlannedAdd } from '../plan/plan'
import type { Milliseconds } from '../units/quantities'

export const TASK_KINDS = [
  'turn',
  'drain',
  'look',
  'add',
  'second_half',
  'end_cure',
  'ask_plan',
  'rinse',
  'soak',
  'fry_test',
  'rest',
  'dry',
  'touch',
  'flavour',
  'cut',
  'hang',
  'weigh',
  'humidity',
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
  /** The instant by which it is to be done; null when any time today will do. */
  byMs: Milliseconds | null
  late: boolean
  /** Ids of the pieces that wait, where it is not all of the lot. */
  pieces?: readonly number[] | null
  because?: DueWhy
  item?: PlanItem | undefined
  /** What goes on with it. */
  add?: PlannedAdd | undefined
}
