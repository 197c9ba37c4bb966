import { UNDO_MS } from '#core/rules/house'
import { reactive } from 'vue'

export interface Notice {
  text: string
  undo?: () => Promise<void>
}

const state = reactive<{ notice: Notice | null; shown: boolean; undoable: boolean }>({
  notice: null,
  shown: false,
  undoable: false,
})
let timer: ReturnType<typeof setTimeout> | undefined

/** The line at the foot that says what was recorded. It goes after a while; its undo stays for ten minutes. */
export function useNotice() {
  const say = (text: string, undo?: () => Promise<void>) => {
    state.notice = undo ? { text, undo } : { text }
    state.shown = true
    state.undoable = undo !== undefined
    clearTimeout(timer)
    if (undo)
      timer = setTimeout(() => {
        state.undoable = false
      }, UNDO_MS)
  }
  async function undoLast(): Promise<void> {
    const undo = state.notice?.undo
    if (!undo || !state.undoable) return
    state.shown = false
    state.undoable = false
    await undo()
  }
  const forgo = () => {
    state.undoable = false
  }
  return { state, say, undoLast, forgo }
}
