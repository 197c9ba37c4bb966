import { computed, ref, shallowRef } from 'vue'
import type { Problem } from '#shared/contracts/problem'
import { read } from '~/api/client'

/**
 * A list that the server gives a page at a time, newest first. `path` makes the address of the page that follows a row,
 * or of the first.
 */
export function usePages<R extends { code: string }>(path: (before: string | undefined) => string) {
  const rows = shallowRef<R[]>([])
  const more = ref(false)
  const problem = ref<Problem | null>(null)
  const loading = ref(false)
  const loaded = ref(false)
  /** Answers to an older question, come late, are not shown. */
  let asked = 0

  async function ask(before: string | undefined): Promise<void> {
    const mine = ++asked
    loading.value = true
    const reply = await read<{ rows: R[]; more: boolean }>(path(before))
    if (mine !== asked) return
    loading.value = false
    problem.value = reply.ok ? null : reply.problem
    if (!reply.ok) return
    rows.value = before === undefined ? reply.value.rows : [...rows.value, ...reply.value.rows]
    more.value = reply.value.more
    loaded.value = true
  }
  /** The first page came along with something else. */
  function begin(first: { rows: R[]; more: boolean }): void {
    asked++
    rows.value = first.rows
    more.value = first.more
    loaded.value = true
  }
  return {
    begin,
    rows,
    more,
    problem,
    loading: computed(() => loading.value),
    loaded,
    load: () => ask(undefined),
    older: () => ask(rows.value.at(-1)?.code),
  }
}
