import { REMINDED_FOR_MS } from '../rules/house'
import { MS_PER_HOUR, type Milliseconds } from '../units/quantities'
import type { Task } from './task'

/** A task whose hour has just come. */
export interface Reminder {
  /** Names it, the same as long as it is shown. */
  key: string
  task: Task
  atMs: Milliseconds
}

/** When a task's hour came: what had to last is over, a reading or a turn was to be there. Null: any time will do. */
const hourOf = ({ because, byMs, late }: Task): Milliseconds | null => {
  if (because?.why === 'after' && !late) return because.sinceMs + because.hours.from * MS_PER_HOUR
  return byMs
}

/** Tasks whose hour came a moment ago: each is said once, on whatever page is open. */
export const remindersOf = (tasks: readonly Task[], nowMs: Milliseconds): Reminder[] =>
  tasks.flatMap((task) => {
    const atMs = hourOf(task)
    const isNow = atMs !== null && atMs <= nowMs && nowMs - atMs < REMINDED_FOR_MS
    return isNow ? [{ key: `${task.kind} ${task.subject} ${task.pieces?.join('.') ?? ''} ${atMs}`, task, atMs }] : []
  })
