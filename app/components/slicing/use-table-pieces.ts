import { computed, type Ref } from 'vue'
import type { LotView } from '#shared/contracts/lots'
import { goesOn, slicedOf } from '~/logic/which-pieces'

/** The slabs that may lie on the table, those that were chosen, and what their weight is then called. */
export function useTablePieces(lot: () => LotView, draft: Ref<{ pieces: number[] }>, meat: (massG: number) => string) {
  const there = computed(() => goesOn(lot()))
  const chosen = computed({
    // A draft may hold what was sliced to the end since.
    get: () => draft.value.pieces.filter(id => there.value.some(piece => piece.id === id)),
    set: (ids) => {
      draft.value.pieces = ids
    },
  })
  /** Ids; null: all of the lot. */
  const pieces = computed(() => {
    if (chosen.value.length > 0) return chosen.value
    return there.value.length < lot().pieces.length ? there.value.map(piece => piece.id) : null
  })
  /** Pieces on the table for the first time, and so to be weighed. */
  const fresh = computed(() => {
    const cameBefore = slicedOf(lot())
    return there.value.filter(({ id }) => (chosen.value.length === 0 || chosen.value.includes(id)) && !cameBefore(id))
  })
  const readyLabel = computed(() => {
    const { readyG } = lot()
    if (readyG === null) return `Ready to slice, ${pieces.value === null ? 'all slabs' : 'these slabs'}`
    if (pieces.value !== null && fresh.value.length > 0) return `Ready to slice, these slabs; ${meat(readyG)} before`
    return `Ready to slice, recorded ${meat(readyG)}`
  })
  return { there, chosen, pieces, fresh, readyLabel }
}
