import { computed, onMounted, ref, shallowRef, toValue, watch, type MaybeRefOrGetter } from 'vue'
import type { Problem } from '#shared/contracts/problem'
import { read } from '~/api/client'

export interface Loading<T> {
  /** Called with each answer, before it is shown. */
  taken?: (value: T) => void
  /** True when it is not read by itself, only when `load` is called. */
  whenAsked?: boolean
}

/**
 * What a page shows, read from the server when it opens, when its address changes, and whenever `load` is called. What
 * was read stays in sight while it is read again, and when that fails; at another address it is gone at once. With a
 * null address there is nothing to read.
 */
export function useLoaded<T>(path: MaybeRefOrGetter<string | null>, { taken, whenAsked }: Loading<T> = {}) {
  const view = shallowRef<T | null>(null)
  const problem = ref<Problem | null>(null)
  const loading = ref(false)
  /** Answers to an older question, come late, are not shown; whoever asked it waits for the newest. */
  let asked = 0
  let newest: Promise<void> = Promise.resolve()

  const load = (): Promise<void> => (newest = take(++asked))
  async function take(mine: number): Promise<void> {
    const from = toValue(path)
    if (from === null) return
    loading.value = true
    const reply = await read<T>(from)
    if (mine !== asked) return newest
    loading.value = false
    problem.value = reply.ok ? null : reply.problem
    if (!reply.ok) return
    taken?.(reply.value)
    view.value = reply.value
  }
  /** Reads something else beside it: null when that failed, and then the problem is said in the same place. */
  async function ask<U = T>(from: string): Promise<U | null> {
    const reply = await read<U>(from)
    problem.value = reply.ok ? null : reply.problem
    return reply.ok ? reply.value : null
  }
  watch(
    () => toValue(path),
    () => {
      view.value = null
      problem.value = null
      loading.value = false
      void load()
    },
  )
  if (!whenAsked) onMounted(load)
  return { view, problem, loading: computed(() => loading.value), load, ask }
}
