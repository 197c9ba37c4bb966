import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { FloorView } from '#shared/contracts/cold-room'
import type { Problem } from '#shared/contracts/problem'
import { read } from '~/api/client'

/** The floor as it stands: lots, fridges, runs. One reading serves Today, Cold room, Smokehouse and Slicing table. */
export const useFloor = defineStore('floor', () => {
  const view = ref<FloorView | null>(null)
  const problem = ref<Problem | null>(null)
  const lots = computed(() => view.value?.lots ?? [])

  async function load(): Promise<void> {
    const reply = await read<FloorView>('/api/floor')
    if (reply.ok) {
      view.value = reply.value
      problem.value = null
    }
    else {
      problem.value = reply.problem
    }
  }
  return { view, problem, lots, load }
})
