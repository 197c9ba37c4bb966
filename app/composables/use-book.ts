import { computed, ref } from 'vue'
import type { EventView } from '#shared/contracts/events'
import type { Problem } from '#shared/contracts/problem'
import { read } from '~/api/client'

/** The whole book, newest records first, a page at a time. */
export function useBook() {
  const pages = ref<EventView[][]>([])
  const lost = ref<Problem | null>(null)
  const loading = ref(false)
  const events = computed(() => pages.value.flat())
  /** Records are numbered from 1 without a gap. */
  const more = computed(() => (events.value.at(-1)?.id ?? 1) > 1)
  /** Reads that many pages from the newest on: what was read before is asked for again, as it is now. */
  async function load(count: number): Promise<void> {
    loading.value = true
    const found: EventView[][] = []
    lost.value = null
    while (found.length < count && lost.value === null) {
      const before = found.at(-1)?.at(-1)?.id
      const reply = await read<EventView[]>(before === undefined ? '/api/events' : `/api/events?before=${before}`)
      if (!reply.ok) lost.value = reply.problem
      else if (reply.value.length === 0) break
      else found.push(reply.value)
    }
    if (lost.value === null) pages.value = found
    loading.value = false
  }
  return {
    events,
    more,
    lost,
    loading,
    load: () => load(Math.max(1, pages.value.length)),
    older: () => load(pages.value.length + 1),
  }
}
