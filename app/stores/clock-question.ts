import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Problem } from '#shared/contracts/problem'

/**
 * The question "is the clock right?", asked before a record that would be dated by a doubtful one. Answered once for a
 * day.
 */
export const useClockQuestion = defineStore('clock-question', () => {
  const asking = ref<Problem | null>(null)
  /** The day that somebody said is today, in the shop's zone. */
  const seenDay = ref<string | null>(null)
  let settle: ((right: boolean) => void) | null = null

  /** True once someone said that the clock is right, false when it was put aside. */
  function ask(problem: Problem): Promise<boolean> {
    settle?.(false)
    asking.value = problem
    return new Promise((resolve) => {
      settle = resolve
    })
  }
  function answer(day: string | null): void {
    if (day !== null) seenDay.value = day
    asking.value = null
    settle?.(day !== null)
    settle = null
  }
  return { asking, seenDay, ask, answer }
})
