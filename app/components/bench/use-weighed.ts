import { BRINE_RANGE, INGREDIENT_RANGE } from '#core/rules/ranges'
import { computed, type Ref } from 'vue'
import { isWet } from '#core/cure/cure-method'
import { judgeSalt } from '#core/rules/salt-weighed'
import { judgeLot } from '#shared/judging/judge-lot'
import { lotQuestion, saltQuestion, toComeAfter, type Applied } from '#shared/judging/lot-question'
import { isSaltOnly, type BenchDraft, type Weighed } from './bench-draft'
import { gramsOf } from './read-draft'
import type { Choices } from './use-choices'
import type { BenchPlan } from './use-plan'

/** What was really weighed, and the verdicts on it. */
export function useWeighed(draft: Ref<BenchDraft>, { agentLot, fromAgentOnly }: Choices, plan: BenchPlan) {
  const { made, firstShare, lot } = plan
  const weighedG = (weighed: Weighed) => gramsOf(weighed.weighed, INGREDIENT_RANGE)
  /** Curing salt and salt, once both were weighed that must be; null before. */
  const base = computed(() => {
    const agentG = isSaltOnly(draft.value) ? 0 : weighedG(draft.value.agent)
    const saltG = fromAgentOnly.value || made.value?.saltG === 0 ? 0 : weighedG(draft.value.salt)
    return agentG === null || saltG === null ? null : { agentG, saltG }
  })
  const applied = computed((): Applied[] => [
    { role: 'agent', massG: base.value?.agentG ?? 0, shared: true },
    { role: 'salt', massG: base.value?.saltG ?? 0, shared: true },
    { role: 'sugar', massG: weighedG(draft.value.sugar) ?? 0, shared: true },
    ...draft.value.seasonings.map(s => ({
      role: 'spice' as const,
      massG: weighedG(s) ?? 0,
      shared: s.group === 'all',
    })),
  ])
  /** The rest of two applications counts as planned. */
  const question = computed(
    () =>
      lot.value
      && made.value
      && base.value
      && lotQuestion({
        ...lot.value,
        applied: applied.value,
        toCome: toComeAfter(made.value, firstShare.value),
        waterG: isWet(draft.value.method) ? (gramsOf(draft.value.water, BRINE_RANGE) ?? made.value.waterG) : 0,
      }),
  )
  const weighed = computed(() => question.value && judgeLot(question.value))
  /** The salt as weighed beside the plan, once it was weighed; null before, and for a cure without nitrite. */
  const saltJudged = computed(() => {
    const asked
      = made.value
        && base.value
        && saltQuestion({
          method: draft.value.method,
          plan: made.value,
          firstShare: firstShare.value,
          agentSaltShare: agentLot.value?.agent?.saltFraction ?? 0,
          ...base.value,
          seasonings: draft.value.seasonings.map(weighedG),
        })
    return asked ? judgeSalt(asked) : null
  })
  return { weighed, saltJudged }
}
