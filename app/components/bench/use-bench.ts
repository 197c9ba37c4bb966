import { computed, ref, type Ref } from 'vue'
import { agentFault } from '#core/agents/agent-fault'
import { isWet, legalMethod } from '#core/cure/cure-method'
import { formulate } from '#core/cure/formulate'
import { judgeSalt } from '#core/cure/salt-weighed'
import { carriedBy } from '#core/cure/seasoning'
import { equalScoopsPpm, type CureWeighed } from '#core/cure/pieces-ppm'
import { shareByWeight } from '#core/cure/share-by-weight'
import { suggestedSpan } from '#core/curing/day-rules'
import { choicesFor, limitsFor } from '#core/rules/limits'
import { parseLength } from '#core/units/parse-length'
import { INGREDIENT_RANGE, THICKNESS_RANGE_MM } from '#shared/contracts/fields'
import type { BenchView } from '#shared/contracts/lots'
import { BRINE_RANGE } from '#shared/contracts/rub'
import type { MixRole } from '#shared/contracts/store'
import { judgeLot, type JudgeQuestion } from '#shared/judging/judge-lot'
import type { BenchDraft, Weighed } from './bench-draft'
import { gramsOf, lotsFor, readPieces, readQuestion, shareOf } from './read-draft'
import { rubBody } from './rub-body'

/** Everything the Bench works out from what is typed; all of it by the core, none of it here. */
export function useBench(
  draft: Ref<BenchDraft>,
  view: Ref<BenchView | null>,
  lengthUnit: Ref<'mm' | 'in'> = ref('mm'),
) {
  const pieces = computed(() => readPieces(draft.value))
  const good = computed(() => pieces.value.flatMap(piece => (piece.parsed ? [piece.parsed] : [])))
  const greenG = computed(() => good.value.reduce((sum, piece) => sum + piece.netG, 0))

  const scaleOf = (purpose: 'meat' | 'mix', id: number | null) =>
    view.value?.scales.find(scale => scale.id === id) ?? view.value?.scales.find(scale => scale.purpose === purpose)
  const meatScale = computed(() => scaleOf('meat', draft.value.meatScaleId))
  const mixScale = computed(() => scaleOf('mix', draft.value.mixScaleId))
  const ingredients = computed(() => view.value?.ingredients ?? [])
  const lotsOf = (role: MixRole) => lotsFor(ingredients.value, role, view.value?.today ?? '')
  const chosen = (role: MixRole, weighed: Weighed) =>
    lotsOf(role).find(lot => lot.code === weighed.lotCode) ?? lotsOf(role)[0] ?? null
  const agentLot = computed(() => (draft.value.method === 'salt_only' ? null : chosen('agent', draft.value.agent)))
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
    draft.value.method === 'two_applications' ? (shareOf(draft.value.firstShare) ?? 1) : 1,
  )

  const base = computed(() =>
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
          agentReadings: firstShare.value < 1 ? 2 : 1,
          weighedBackG: gramsOf(draft.value.weighedBack, INGREDIENT_RANGE) ?? 0,
          mostPickUp: shareOf(draft.value.mostPickUp) ?? 1,
        }
      : null,
  )
  const planQuestion = computed<JudgeQuestion | null>(
    () =>
      base.value
      && made.value && { ...base.value, agentG: made.value.agentG, mixG: made.value.mixG, waterG: made.value.waterG },
  )
  const planned = computed(() => planQuestion.value && judgeLot(planQuestion.value))
  const scoops = computed(() => {
    const q = planQuestion.value
    return q?.agent && !isWet(draft.value.method) ? equalScoopsPpm({ ...q, agent: q.agent } satisfies CureWeighed) : []
  })

  const weighedG = (weighed: Weighed) => gramsOf(weighed.weighed, INGREDIENT_RANGE)
  /** What was really weighed, once enough of it was; for two applications the rest counts as planned. */
  const weighedQuestion = computed<JudgeQuestion | null>(() => {
    const agentG = draft.value.method === 'salt_only' ? 0 : weighedG(draft.value.agent)
    const saltG = fromAgentOnly.value || made.value?.saltG === 0 ? 0 : weighedG(draft.value.salt)
    if (!base.value || !made.value || agentG === null || saltG === null) return null
    const spicesG = draft.value.seasonings.reduce((sum, s) => sum + (s.group === 'all' ? (weighedG(s) ?? 0) : 0), 0)
    const rest = 1 - firstShare.value
    return {
      ...base.value,
      agentG: agentG + rest * made.value.agentG,
      mixG: agentG + saltG + (weighedG(draft.value.sugar) ?? 0) + spicesG + rest * made.value.mixG,
      waterG: isWet(draft.value.method) ? (gramsOf(draft.value.water, BRINE_RANGE) ?? made.value.waterG) : 0,
    }
  })
  const weighed = computed(() => weighedQuestion.value && judgeLot(weighedQuestion.value))

  /** The salt as weighed beside the plan, once it was weighed; null before, and for a cure without nitrite. */
  const saltJudged = computed(() => {
    const agentG = weighedG(draft.value.agent)
    const saltG = fromAgentOnly.value || made.value?.saltG === 0 ? 0 : weighedG(draft.value.salt)
    if (draft.value.method === 'salt_only' || !made.value || agentG === null || saltG === null) return null
    const inAgent = agentLot.value?.agent?.saltFraction ?? 0
    const basePlannedG = made.value.saltG + made.value.agentG * inAgent
    const spicesG = draft.value.seasonings.reduce(
      (sum, s, i) =>
        sum
        + (weighedG(s) ?? made.value!.seasonings[i]?.massG ?? 0)
        * (made.value!.seasonings[i]?.composition.saltFraction ?? 0),
      0,
    )
    const plannedG = basePlannedG + carriedBy(made.value.seasonings, 'saltFraction')
    if (!(plannedG > 0)) return null
    return judgeSalt({
      method: draft.value.method,
      plannedG,
      weighedG: saltG + agentG * inAgent + spicesG + (1 - firstShare.value) * basePlannedG,
      plannedShare: made.value.totalSaltShare,
    })
  })

  const thicknessMm = computed(() => {
    const parsed = parseLength(draft.value.thickness, lengthUnit.value, {
      minMm: THICKNESS_RANGE_MM.min,
      maxMm: THICKNESS_RANGE_MM.max,
    })
    return parsed.ok ? parsed.value : null
  })
  const span = computed(() => suggestedSpan(thicknessMm.value ?? 40))
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

  const body = computed(() =>
    rubBody(draft.value, {
      meatScaleId: meatScale.value?.id ?? 0,
      mixScaleId: mixScale.value?.id ?? 0,
      fridgeId: draft.value.fridgeId ?? view.value?.fridges[0]?.id ?? 0,
      agentCode: agentLot.value?.code ?? '',
      saltCode: saltLot.value?.code ?? '',
      sugarCode: sugarLot.value?.code ?? '',
      fromAgentOnly: fromAgentOnly.value,
      thicknessMm: thicknessMm.value,
      span: span.value,
    }),
  )
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
    plan,
    made,
    shares,
    firstShare,
    planned,
    scoops,
    weighed,
    saltJudged,
    thicknessMm,
    span,
    bags,
    body,
  }
}
export type Bench = ReturnType<typeof useBench>
