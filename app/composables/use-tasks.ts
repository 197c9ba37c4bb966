import { computed, type ComputedRef } from 'vue'
import { lotTasks, type LotFacts } from '#core/today/lot-tasks'
import type { Task } from '#core/today/task'
import { tasksNow } from '#core/today/tasks'
import { useClock } from '~/composables/use-clock'
import { useFloor } from '~/stores/floor'

/** What was asked of each lot as it stands, at an instant: a tap in one row changes one lot of forty. */
const known = new WeakMap<LotFacts, { nowMs: number; tasks: Task[] }>()
function tasksOf(lot: LotFacts, nowMs: number): Task[] {
  const last = known.get(lot)
  if (last?.nowMs === nowMs) return last.tasks
  const tasks = lotTasks(lot, nowMs)
  known.set(lot, { nowMs, tasks })
  return tasks
}

/** What is to be done now; empty until the floor is there. */
export function useTasks(): ComputedRef<Task[]> {
  const floor = useFloor()
  const nowMs = useClock()
  return computed(() => (floor.view ? tasksNow(floor.view, nowMs.value, tasksOf) : []))
}
