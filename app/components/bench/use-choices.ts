import { sumOf } from '#core/lists/sum-of'
import { computed, type Ref } from 'vue'
import { agentFault } from '#core/agents/agent-fault'
import { legalMethod } from '#core/cure/cure-method'
import { choicesFor, limitsFor } from '#core/rules/limits'
import type { BenchView } from '#shared/contracts/lots'
import type { MixRole } from '#shared/contracts/store'
import { isSaltOnly, type BenchDraft, type Weighed } from './bench-draft'
import { lotsFor, readPieces } from './read-draft'

/** What was chosen and laid on the table: pieces, scales, lots of the store, and the limits that follow. */
export function useChoices(draft: Ref<BenchDraft>, view: Ref<BenchView | null>) {
  const pieces = computed(() => readPieces(draft.value))
  const good = computed(() => pieces.value.flatMap(piece => (piece.parsed ? [piece.parsed] : [])))
  const greenG = computed(() => sumOf(good.value, piece => piece.netG))

  const scaleOf = (purpose: 'meat' | 'mix', id: number | null) =>
    view.value?.scales.find(scale => scale.id === id) ?? view.value?.scales.find(scale => scale.purpose === purpose)
  const meatScale = computed(() => scaleOf('meat', draft.value.meatScaleId))
  const mixScale = computed(() => scaleOf('mix', draft.value.mixScaleId))
  const ingredients = computed(() => view.value?.ingredients ?? [])
  const lotsOf = (role: MixRole) => lotsFor(ingredients.value, role, view.value?.today ?? '')
  const chosen = (role: MixRole, weighed: Weighed) =>
    lotsOf(role).find(lot => lot.code === weighed.lotCode) ?? lotsOf(role)[0] ?? null
  const agentLot = computed(() => (isSaltOnly(draft.value) ? null : chosen('agent', draft.value.agent)))
  const saltLot = computed(() => chosen('salt', draft.value.salt))
  const sugarLot = computed(() => chosen('sugar', draft.value.sugar))
  const fromAgentOnly = computed(() => draft.value.fromAgentOnly || agentLot.value?.kind === 'mix')

  const limitQuestion = computed(
    () =>
      view.value && {
        rules: view.value.rules,
        cut: draft.value.cut,
        method: legalMethod(draft.value.method),
        rind: draft.value.rind,
        choiceId: draft.value.choiceId,
        house: view.value.shop.house,
      },
  )
  const limits = computed(() => limitQuestion.value && limitsFor(limitQuestion.value))
  const choices = computed(() => (limitQuestion.value ? choicesFor(limitQuestion.value) : []))
  /** Why the chosen agent may not be used here; null when it may. */
  const agentRefused = computed(() => {
    const lot = agentLot.value
    if (!lot?.agent || !limits.value || !view.value) return null
    const fit = agentFault({
      kind: lot.agentKind ?? 'own',
      agent: lot.agent,
      name: `${lot.code} ${lot.name}`,
      certificate: lot.certificate,
      bestBefore: lot.bestBefore,
      today: view.value.today,
      spicedOn: lot.spicedOn,
      purpose: draft.value.purpose,
      nitrateMaxPpm: limits.value.nitrateMaxPpm,
      jurisdiction: view.value.rules.jurisdiction,
    })
    return fit.ok ? null : fit
  })
  return {
    pieces,
    good,
    greenG,
    meatScale,
    mixScale,
    ingredients,
    lotsOf,
    agentLot,
    saltLot,
    sugarLot,
    fromAgentOnly,
    limits,
    choices,
    agentRefused,
  }
}
export type Choices = ReturnType<typeof useChoices>
