import { computed, type Ref } from 'vue'
import { HEAT_FROM_C } from '#core/smoke/come-up'
import { lethalityReached, p70Claimed, P70_WANTED_MIN, salmonellaLog } from '#core/smoke/salmonella-credit'
import type { RunView } from '#shared/contracts/smoke'

/** Rule sets under whose authority heating is judged by minutes at 70 °C. */
const P70_PRACTICE = ['uk', 'eu']
const RISE_RANK = { not_bound: 0, in_time: 1, under_way: 2, not_shown: 3, late: 4 } as const

/** What a run's readings mean, worked out by the core; growth between heats by the server, which knows the heats before. */
export function useRun(run: Ref<RunView>) {
  const smoke = computed(() => run.value.readings.flatMap(r => r.phase === 'smoke' && r.coreC !== null ? [{ atMs: r.atMs, coreC: r.coreC }] : []))
  const credit = computed(() => salmonellaLog(smoke.value))
  const lethal = computed(() => lethalityReached(smoke.value))
  const byP70 = computed(() => P70_PRACTICE.includes(run.value.ruleSetId))
  const p70 = computed(() => p70Claimed(smoke.value).at(-1) ?? 0)
  const p70Reached = computed(() => p70.value >= P70_WANTED_MIN)
  /** The lot that is worst off: one without nitrite has less time. */
  const rise = computed(() => run.value.lots.flatMap(lot => lot.rise ? [lot.rise] : []).toSorted((a, b) => RISE_RANK[b.status] - RISE_RANK[a.status] || a.allowedMs - b.allowedMs)[0] ?? null)
  const heated = computed(() => smoke.value.some(reading => reading.coreC > HEAT_FROM_C))
  /** Cooling of each lot by its own nitrite: two lots in one run may have two answers. */
  const cooling = computed(() => run.value.lots.flatMap(lot => lot.cooling ? [{ lot, ...lot.cooling }] : []))
  const last = computed(() => run.value.readings.at(-1) ?? null)
  return { smoke, credit, lethal, byP70, p70, p70Reached, rise, heated, cooling, last }
}
