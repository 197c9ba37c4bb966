import { computed, onScopeDispose, shallowReactive, watch } from 'vue'

/** Ids of pieces that were chosen, by lot: its row and the drawing of its place show and change the same. */
const chosenOf = shallowReactive(new Map<string, readonly number[]>())

function drop(code: string, ids: readonly number[]): void {
  const now = chosenOf.get(code)
  if (now?.some(id => ids.includes(id))) chosenOf.set(code, now.filter(id => !ids.includes(id)))
}

/** Those chosen of a lot's pieces that lie in one place; `ids`: of those there. */
export function useChosen(code: () => string, ids: () => readonly number[]) {
  const set = (some: readonly number[]): void => {
    const elsewhere = (chosenOf.get(code()) ?? []).filter(id => !ids().includes(id))
    const now = [...elsewhere, ...some]
    if (now.length > 0) chosenOf.set(code(), now)
    else chosenOf.delete(code())
  }
  // Who comes back to the room begins anew.
  onScopeDispose(() => set([]))
  // What was cut up or moved on is chosen no more, here or where it lies now.
  watch(ids, (now, before) => drop(code(), before.filter(id => !now.includes(id))))
  return computed({
    get: () => (chosenOf.get(code()) ?? []).filter(id => ids().includes(id)),
    set,
  })
}

/** Chooses pieces of a lot, or lets go of them where all of them were chosen. */
export function toggleChosen(code: string, ids: readonly number[]): void {
  const now = chosenOf.get(code) ?? []
  const all = ids.every(id => now.includes(id))
  chosenOf.set(code, all ? now.filter(id => !ids.includes(id)) : [...new Set([...now, ...ids])])
}
export const isChosen = (code: string, id: number): boolean => chosenOf.get(code)?.includes(id) ?? false
