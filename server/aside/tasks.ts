import { judgeGroups } from './judge-groups'
import { smokeLine } from './smoke-line'

/** What may be worked out in another thread: plain values in, plain values out, no tables and no clock. */
export const TASKS = { judgeGroups, smokeLine }

export type TaskName = keyof typeof TASKS
export type Input<N extends TaskName> = Parameters<(typeof TASKS)[N]>[0]
export type Output<N extends TaskName> = ReturnType<(typeof TASKS)[N]>
export interface Task<N extends TaskName = TaskName> {
  name: N
  input: Input<N>
}

export const work = <N extends TaskName>({ name, input }: Task<N>): Output<N> =>
  (TASKS[name] as (input: Input<N>) => Output<N>)(input)
