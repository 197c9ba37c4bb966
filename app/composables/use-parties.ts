import { ref, shallowRef } from 'vue'
import { watchDebounced } from '@vueuse/core'
import type { PartyFound, PartyKind } from '#shared/contracts/store'
import type { Problem } from '#shared/contracts/problem'
import { read } from '~/api/client'

/** Typing that has rested for so long is asked for, in milliseconds. House. */
const PAUSE_MS = 250

/** Suppliers and customers as the server finds them for what is typed into `find`; those found stay until others are. */
export function useParties(kind?: PartyKind) {
  const find = ref('')
  const found = shallowRef<PartyFound>({ rows: [], more: false })
  const problem = ref<Problem | null>(null)
  let asked = 0
  async function load(): Promise<void> {
    const mine = ++asked
    const text = find.value.trim()
    const reply = await read<PartyFound>(
      `/api/parties?${new URLSearchParams({ ...(kind ? { kind } : {}), ...(text ? { find: text } : {}) })}`,
    )
    if (mine !== asked) return
    problem.value = reply.ok ? null : reply.problem
    if (reply.ok) found.value = reply.value
  }
  watchDebounced(find, load, { debounce: PAUSE_MS })
  return { find, found, problem, load }
}
