import { UNDO_MS } from '#core/rules/house'
import { computed, reactive } from 'vue'

/** Something that was recorded on this device a moment ago, and how it is taken back. */
export interface Notice {
  id: number
  text: string
  undo: () => Promise<void>
}

/** The last ones told here stay at hand. House. */
const MOST_TOLD = 10
let count = 0
const state = reactive<{ text: string; shown: boolean; told: Notice[] }>({ text: '', shown: false, told: [] })

const drop = (id: number) => {
  state.told = state.told.filter(one => one.id !== id)
}

/**
 * The line at the foot that says what was recorded. It goes after a while; what can be undone stays for ten minutes.
 */
export function useNotice() {
  const say = (text: string, undo?: () => Promise<void>) => {
    state.text = text
    state.shown = true
    if (!undo) return
    const id = (count += 1)
    state.told = [{ id, text, undo }, ...state.told].slice(0, MOST_TOLD)
    setTimeout(() => drop(id), UNDO_MS)
  }
  async function undo(one: Notice): Promise<void> {
    state.shown = false
    drop(one.id)
    await one.undo()
  }
  return {
    state,
    last: computed(() => state.told[0] ?? null),
    say,
    undo,
    undoLast: async () => {
      const [newest] = state.told
      if (newest) await undo(newest)
    },
    /** Forgets notices that nobody needs any more. */
    forgo: () => {
      state.told = []
    },
  }
}
