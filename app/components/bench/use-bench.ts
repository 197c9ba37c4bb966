import { THICKNESS_RANGE_MM } from '#core/rules/ranges'
import { computed, ref, type Ref } from 'vue'
import { assumedPlan } from '#core/plan/assumed-plan'
import { withDays, type Plan } from '#core/plan/plan'
import { suggestedSpan } from '#core/curing/day-rules'
import { USUAL_THICKNESS_MM } from '#core/rules/house'
import { parseLength } from '#core/typed/parse-length'
import type { BenchView } from '#shared/contracts/lots'
import type { BenchDraft } from './bench-draft'
import { rubBody } from './rub-body'
import { useChoices } from './use-choices'
import { usePlan } from './use-plan'
import { useWeighed } from './use-weighed'

/** Everything the Bench works out from what is typed; all of it by the core, none of it here. */
export function useBench(
  draft: Ref<BenchDraft>,
  view: Ref<BenchView | null>,
  lengthUnit: Ref<'mm' | 'in'> = ref('mm'),
) {
  const choices = useChoices(draft, view)
  const plan = usePlan(draft, view, choices)
  const weighed = useWeighed(draft, choices, plan)

  const thicknessMm = computed(() => {
    const parsed = parseLength(draft.value.thickness, lengthUnit.value, {
      minMm: THICKNESS_RANGE_MM.min,
      maxMm: THICKNESS_RANGE_MM.max,
    })
    return parsed.ok ? parsed.value : null
  })
  const span = computed(() => suggestedSpan(thicknessMm.value ?? USUAL_THICKNESS_MM, draft.value.method))
  /** What is intended: chosen here or by the recipe, else as the shop usually does; its days are the lot's. */
  const lotPlan = computed((): Plan => {
    const readyFromDay = draft.value.readyFromDay ?? span.value.readyFromDay
    const bestByDay = draft.value.bestByDay ?? span.value.bestByDay
    const usual = { turnEveryDays: view.value?.shop.turnEveryDays ?? 1, readyFromDay, bestByDay, method: draft.value.method }
    return withDays(draft.value.plan ?? assumedPlan(usual), readyFromDay, bestByDay)
  })
  const body = computed(() =>
    rubBody(draft.value, {
      meatScaleId: choices.meatScale.value?.id ?? 0,
      mixScaleId: choices.mixScale.value?.id ?? 0,
      fridgeId: draft.value.fridgeId ?? view.value?.places[0]?.id ?? 0,
      agentCode: choices.agentLot.value?.code ?? '',
      saltCode: choices.saltLot.value?.code ?? '',
      sugarCode: choices.sugarLot.value?.code ?? '',
      fromAgentOnly: choices.fromAgentOnly.value,
      thicknessMm: thicknessMm.value,
      span: span.value,
      plan: lotPlan.value,
    }),
  )
  return { ...choices, ...plan, ...weighed, thicknessMm, span, lotPlan, body }
}
export type Bench = ReturnType<typeof useBench>
