import { reactive } from 'vue'

export interface Notice { text: string, undo?: () => Promise<void> }

const state = reactive<{ notice: Notice | null, shown: boolean }>({ notice: null, shown: false })

/** The line at the foot that says what was recorded, with undo where there is one. */
export function useNotice() {
  const say = (text: string, undo?: () => Promise<void>) => {
    state.notice = undo ? { text, undo } : { text }
    state.shown = true
  }
  async function undoLast(): Promise<void> {
    const undo = state.notice?.undo
    if (!undo || !state.shown) return
    state.shown = false
    await undo()
  }
  return { state, say, undoLast }
}
