import { INGREDIENT_RANGE } from '#core/rules/ranges'
import { computed, type Ref } from 'vue'
import { isWet } from '#core/cure/cure-method'
import { formulate } from '#core/cure/formulate'
import type { CureWeighed } from '#core/cure/cure-weighed'
import { equalScoopsSalt } from '#core/cure/equal-scoops-salt'
import { equalScoopsPpm } from '#core/cure/pieces-ppm'
import { laterShare } from '#core/plan/later-share'
import { MOST_LATER_SHARE } from '#core/rules/house'
import { shareByWeight } from '#core/cure/share-by-weight'
import type { BenchView } from '#shared/contracts/lots'
import { judgeLot } from '#shared/judging/judge-lot'
import { appliedOf, lotQuestion } from '#shared/judging/lot-question'
import type { BenchDraft } from './bench-draft'
import { gramsOf, readQuestion, shareOf } from './read-draft'
import type { Choices } from './use-choices'

/** What the targets ask to be weighed, piece by piece, and the verdict it would get. */
export function usePlan(draft: Ref<BenchDraft>, view: Ref<BenchView | null>, chosen: Choices) {
  const { pieces, good, meatScale, mixScale, ingredients, agentLot, sugarLot } = chosen
  const question = computed(() =>
    mixScale.value
      ? readQuestion(draft.value, {
          piecesG: good.value.map(piece => piece.netG),
          agentLot: agentLot.value,
          sugarLot: sugarLot.value,
          ingredients: ingredients.value,
          readabilityG: mixScale.value.readabilityG,
        })
      : null,
  )
  const plan = computed(() => question.value && formulate(question.value))
  const made = computed(() => (plan.value?.ok ? plan.value.value : null))
  /** Each piece's share of the mix, in the order of the pieces that have a weight. */
  const shares = computed(() => made.value?.pieces ?? [])
  const firstShare = computed(() =>
    draft.value.method === 'two_applications'
      ? (shareOf(draft.value.firstShare) ?? 1)
      : Math.max(1 - MOST_LATER_SHARE, 1 - laterShare(draft.value.plan ?? null)),
  )

  /** The lot itself, whatever goes on it. */
  const lot = computed(() =>
    view.value && meatScale.value && mixScale.value && good.value.length > 0
      ? {
          rules: view.value.rules,
          cut: draft.value.cut,
          rind: draft.value.rind,
          method: draft.value.method,
          choiceId: draft.value.choiceId,
          house: view.value.shop.house,
          confirmed: view.value.shop.confirmed,
          pieces: good.value.map(piece => ({ massG: piece.netG, readings: piece.readings })),
          meatReadabilityG: meatScale.value.readabilityG,
          mixReadabilityG: mixScale.value.readabilityG,
          agent: agentLot.value?.agent ?? null,
          weighedBackG: gramsOf(draft.value.weighedBack, INGREDIENT_RANGE) ?? 0,
          mostPickUp: shareOf(draft.value.mostPickUp) ?? 1,
        }
      : null,
  )
  const planQuestion = computed(
    () =>
      lot.value
      && made.value
      && lotQuestion({ ...lot.value, applied: appliedOf(made.value), toCome: null, waterG: made.value.waterG }),
  )
  const planned = computed(() => planQuestion.value && judgeLot(planQuestion.value))
  const scoops = computed(() => {
    const q = planQuestion.value
    return q?.agent && !isWet(draft.value.method) ? equalScoopsPpm({ ...q, agent: q.agent } satisfies CureWeighed) : []
  })
  /** The same for salt, each piece's share of its green weight. */
  const saltScoops = computed(() =>
    made.value && !isWet(draft.value.method)
      ? equalScoopsSalt(made.value.totalSaltShare * made.value.greenWeightG, good.value.map(piece => piece.netG))
      : [],
  )
  /** Bags with what goes into each; pieces without one stand alone. */
  const bags = computed(() => {
    const mixOf = made.value
      ? shareByWeight(
          made.value.mixG,
          good.value.map(piece => piece.netG),
        )
      : []
    const numbers = [...new Set(pieces.value.flatMap(piece => piece.bag ?? []))].toSorted((a, b) => a - b)
    return numbers.map(number => ({
      number,
      pieces: pieces.value.flatMap((piece, i) => (piece.bag === number ? [i + 1] : [])),
      mixG: pieces.value.reduce((sum, piece, i) => (piece.bag === number ? sum + (mixOf[i] ?? 0) : sum), 0),
    }))
  })
  return { plan, made, shares, firstShare, lot, planned, scoops, saltScoops, bags }
}
export type BenchPlan = ReturnType<typeof usePlan>
