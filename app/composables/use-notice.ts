import { reactive } from 'vue'
import { MS_PER_MINUTE } from '#core/units/quantities'

export interface Notice {
  text: string
  undo?: () => Promise<void>
}

/** As long as the server takes an undo without asking why. */
const UNDO_MS = 10 * MS_PER_MINUTE

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
