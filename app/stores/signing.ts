import { defineStore } from 'pinia'
import { ref } from 'vue'

/** The question "who signs this?" on a shared tablet: asked by a write, answered by the PIN pad. */
export const useSigning = defineStore('signing', () => {
  const asking = ref(false)
  let settle: ((signed: boolean) => void) | null = null

  /** Opens the pad; true once someone has signed, false when it was put aside. */
  function ask(): Promise<boolean> {
    settle?.(false)
    asking.value = true
    return new Promise((resolve) => {
      settle = resolve
    })
  }
  function answer(signed: boolean): void {
    asking.value = false
    settle?.(signed)
    settle = null
  }
  return { asking, ask, answer }
})
