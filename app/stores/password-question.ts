import { defineStore } from 'pinia'
import { ref } from 'vue'

/** The question "your own password once more", before what changes who may open the door. */
export const usePasswordQuestion = defineStore('password-question', () => {
  const asking = ref(false)
  let settle: ((given: boolean) => void) | null = null

  /** True once the password was given and taken, false when it was put aside. */
  function ask(): Promise<boolean> {
    settle?.(false)
    asking.value = true
    return new Promise((resolve) => {
      settle = resolve
    })
  }
  function answer(given: boolean): void {
    asking.value = false
    settle?.(given)
    settle = null
  }
  return { asking, ask, answer }
})
