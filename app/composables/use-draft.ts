import { ref, watch, type Ref } from 'vue'

const PREFIX = 'veldmoor-draft:'

/** A tablet on the wall is closed: what one person left half typed is nobody else's to find. */
export function forgetDrafts(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(PREFIX)) localStorage.removeItem(key)
}

/**
 * What is being typed, kept on this device until it is saved: a reload, a dead battery or a signed-out session lose
 * nothing. `clear` is called when the save was acknowledged.
 */
export function useDraft<T>(name: string, empty: () => T): { draft: Ref<T>; clear: () => void } {
  const key = PREFIX + name
  const draft = ref(empty()) as Ref<T>
  try {
    const kept = localStorage.getItem(key)
    if (kept) draft.value = { ...empty(), ...(JSON.parse(kept) as T) }
  }
  catch {
    // An unreadable draft is set aside, not thrown away.
    localStorage.setItem(`${key}:unreadable`, localStorage.getItem(key) ?? '')
  }
  watch(draft, value => localStorage.setItem(key, JSON.stringify(value)), { deep: true })
  return {
    draft,
    clear: () => {
      draft.value = empty()
      localStorage.removeItem(key)
    },
  }
}
