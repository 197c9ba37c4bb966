import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { FloorView } from '#shared/contracts/cold-room'
import type { LotNow } from '#shared/contracts/press-answer'
import { useLoaded } from '~/api/use-loaded'

/** The floor as it stands: lots, places, heats. One reading serves Today, Cold room, Smokehouse and Slicing table. */
export const useFloor = defineStore('floor', () => {
  const { view, problem, load } = useLoaded<FloorView>('/api/floor', { whenAsked: true })
  const lots = computed(() => view.value?.lots ?? [])

  /** Lots as a press left them: nothing else is loaded for it. */
  function apply(changed: readonly LotNow[]): void {
    if (!view.value) return
    const now = new Map(changed.map(lot => [lot.code, lot]))
    view.value = {
      ...view.value,
      lots: view.value.lots.map((lot) => {
        const told = now.get(lot.code)
        // The same object: what did not change is not drawn again.
        if (!told) return lot
        const { pieces, judgement: judged = lot.judgement, leastPpm = judged.leastPpm, ...rest } = told
        const lying = new Map(pieces.map(piece => [piece.id, piece]))
        const judgement = { ...judged, leastPpm }
        return { ...lot, ...rest, judgement, pieces: lot.pieces.map(piece => ({ ...piece, ...lying.get(piece.id) })) }
      }),
    }
  }
  return { view, problem, lots, load, apply }
})
