import { judgeGroups } from './judge-groups'
import { smokeLine } from './smoke-line'
import { walkBook } from './walk-book'

/** What may be done in another thread: plain values in, plain values out, nothing of this thread's needed. */
export const TASKS = { judgeGroups, smokeLine, walkBook }

export type TaskName = keyof typeof TASKS
export type Input<N extends TaskName> = Parameters<(typeof TASKS)[N]>[0]
export type Output<N extends TaskName> = Awaited<ReturnType<(typeof TASKS)[N]>>
export interface WorkerTask<N extends TaskName = TaskName> {
  name: N
  input: Input<N>
}

export const work = async <N extends TaskName>({ name, input }: WorkerTask<N>): Promise<Output<N>> =>
  (TASKS[name] as (input: Input<N>) => Output<N> | Promise<Output<N>>)(input)
