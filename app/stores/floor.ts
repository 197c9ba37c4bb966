import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { FloorView } from '#shared/contracts/cold-room'
import { useLoaded } from '~/composables/use-loaded'

/** The floor as it stands: lots, fridges, runs. One reading serves Today, Cold room, Smokehouse and Slicing table. */
export const useFloor = defineStore('floor', () => {
  const { view, problem, load } = useLoaded<FloorView>('/api/floor', { whenAsked: true })
  const lots = computed(() => view.value?.lots ?? [])
  return { view, problem, lots, load }
})
