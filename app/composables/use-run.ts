import { computed, type Ref } from 'vue'
import { coolingOf, needsCooling } from '#core/cooling/after-pull'
import { coolingRuleFor } from '#core/cooling/cooling'
import { comeUp } from '#core/smoke/come-up'
import { lethalityReached, salmonellaLog } from '#core/smoke/salmonella-credit'
import type { RunView } from '#shared/contracts/smoke'

/** What a run's readings mean, worked out by the core. */
export function useRun(run: Ref<RunView>) {
  const coreOf = (phase: 'smoke' | 'cool') => run.value.readings
    .flatMap(r => r.phase === phase && r.coreC !== null ? [{ atMs: r.atMs, coreC: r.coreC }] : [])
  const smoke = computed(() => coreOf('smoke'))
  const cool = computed(() => coreOf('cool'))
  const credit = computed(() => salmonellaLog(smoke.value))
  const lethal = computed(() => lethalityReached(smoke.value))
  const rise = computed(() => comeUp(smoke.value, run.value.lots.some(lot => lot.saltOnly)))
  const cooked = computed(() => needsCooling(smoke.value))
  /** Cooling of each lot by its own nitrite: two lots in one run may have two answers. */
  const cooling = computed(() => run.value.pulledAtMs === null
    ? []
    : run.value.lots.map(lot => ({ lot, ...coolingOf({ smoke: smoke.value, cool: cool.value, pulledAtMs: run.value.pulledAtMs! }, coolingRuleFor(lot.lowPpm)) })))
  const last = computed(() => run.value.readings.at(-1) ?? null)
  return { smoke, cool, credit, lethal, rise, cooked, cooling, last }
}
