import { computed, type Ref } from 'vue'
import { P70_WANTED_MIN } from '#core/rules/guideline'
import { RISE_RANK } from '#core/smoke/come-up'
import type { RunView } from '#shared/contracts/smoke'

/** Rule sets under whose authority heating is judged by minutes at 70 °C. */
const P70_PRACTICE = ['uk', 'eu']

/** What a run comes to, as the server worked it out by the core from every reading. */
export function useRun(run: Ref<RunView>) {
  const figures = computed(() => run.value.figures)
  const byP70 = computed(() => P70_PRACTICE.includes(run.value.ruleSetId))
  const p70Reached = computed(() => figures.value.p70Min >= P70_WANTED_MIN)
  /** The lot that is worst off: one without nitrite has less time. */
  const rise = computed(
    () =>
      run.value.lots
        .flatMap(lot => (lot.rise ? [lot.rise] : []))
        .toSorted((a, b) => RISE_RANK[b.status] - RISE_RANK[a.status] || a.allowedMs - b.allowedMs)[0] ?? null,
  )
  /** Cooling of each lot by its own nitrite: two lots in one run may have two answers. */
  const cooling = computed(() =>
    run.value.lots.flatMap(lot => (lot.cooling ? [{ ...lot, cooling: lot.cooling }] : [])),
  )
  const last = computed(() => run.value.readings.at(-1) ?? null)
  return { figures, byP70, p70Reached, rise, cooling, last }
}
