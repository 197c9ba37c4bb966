import { computed, type Ref } from 'vue'
import { formulate } from '#core/cure/formulate'
import { shareByWeight } from '#core/cure/share-by-weight'
import { suggestedSpan } from '#core/curing/day-rules'
import { parseDecimal } from '#core/units/parse-decimal'
import { parsePercent } from '#core/units/parse-fraction'
import { parseWeight, type WeightEntry } from '#core/units/parse-weight'
import { INGREDIENT_RANGE, PIECE_RANGE, THICKNESS_RANGE_MM } from '#shared/contracts/fields'
import type { BenchView } from '#shared/contracts/lots'
import type { IngredientKind } from '#shared/contracts/store'
import { judgeLot } from '#shared/judging/judge-lot'
import type { BenchDraft, Weighed } from './bench-draft'

const NO_LIMITS = { min: 0, max: 100 }

/** Everything the Bench works out from what is typed; all of it by the core, none of it here. */
export function useBench(draft: Ref<BenchDraft>, view: Ref<BenchView | null>) {
  const pieces = computed(() => draft.value.pieces.map((piece) => {
    const parsed = parseWeight(piece.weight, PIECE_RANGE)
    return { ...piece, parsed: parsed.ok ? parsed.value : null }
  }))
  const good = computed(() => pieces.value.flatMap(piece => piece.parsed ? [piece.parsed] : []))
  const greenG = computed(() => good.value.reduce((sum, piece: WeightEntry) => sum + piece.netG, 0))

  const scaleOf = (purpose: 'meat' | 'mix', id: number | null) =>
    view.value?.scales.find(scale => scale.id === id) ?? view.value?.scales.find(scale => scale.purpose === purpose)
  const meatScale = computed(() => scaleOf('meat', draft.value.meatScaleId))
  const mixScale = computed(() => scaleOf('mix', draft.value.mixScaleId))
  const lotsOf = (kind: IngredientKind) => view.value?.ingredients.filter(lot => lot.kind === kind && lot.leftG > 0) ?? []
  const chosen = (kind: IngredientKind, weighed: Weighed) => lotsOf(kind).find(lot => lot.code === weighed.lotCode) ?? lotsOf(kind)[0] ?? null
  const agentLot = computed(() => draft.value.saltOnly ? null : chosen('curing_salt', draft.value.agent))
  const saltLot = computed(() => chosen('salt', draft.value.salt))
  const sugarLot = computed(() => chosen('sugar', draft.value.sugar))
  const agent = computed(() => agentLot.value?.agent ?? null)

  const targets = computed(() => {
    const salt = parsePercent(draft.value.saltShare, NO_LIMITS)
    const sugar = parsePercent(draft.value.sugarShare, NO_LIMITS)
    return salt.ok && sugar.ok
      ? { saltShare: salt.value, sugarShare: sugar.value, saltBasis: draft.value.saltBasis, nitritePpm: draft.value.targetPpm }
      : null
  })
  const plan = computed(() => targets.value && mixScale.value && greenG.value > 0 && (agent.value || draft.value.saltOnly)
    ? formulate(greenG.value, agent.value, targets.value, mixScale.value.readabilityG)
    : null)
  /** Each piece's share of the mix, and of each ingredient in it, in the order of the pieces. */
  const shares = computed(() => {
    if (!plan.value?.ok) return []
    const { mixG, agentG, saltG, sugarG } = plan.value.value
    const of = (massG: number) => shareByWeight(massG, good.value.map(piece => piece.netG))
    const [mix, agentShares, salt, sugar] = [of(mixG), of(agentG), of(saltG), of(sugarG)]
    return mix.map((shareG, i) => ({ mixG: shareG, agentG: agentShares[i]!, saltG: salt[i]!, sugarG: sugar[i]! }))
  })

  const judge = (agentG: number, mixG: number) => {
    if (!view.value || !meatScale.value || !mixScale.value || good.value.length === 0) return null
    return judgeLot({
      rules: view.value.rules, cut: draft.value.cut, rind: draft.value.rind, confirmed: view.value.shop.confirmed,
      pieces: good.value.map(piece => ({ massG: piece.netG, readings: piece.readings })),
      meatReadabilityG: meatScale.value.readabilityG, mixReadabilityG: mixScale.value.readabilityG,
      agent: agent.value, agentG, mixG,
    })
  }
  const planned = computed(() => plan.value?.ok ? judge(plan.value.value.agentG, plan.value.value.mixG) : null)
  const grams = (weighed: Weighed) => {
    const parsed = parseWeight(weighed.weighed, INGREDIENT_RANGE)
    return parsed.ok ? parsed.value.netG : null
  }
  /** The verdict on what was really weighed, once it was. */
  const weighed = computed(() => {
    const agentG = draft.value.saltOnly ? 0 : grams(draft.value.agent)
    const saltG = grams(draft.value.salt)
    if (agentG === null || saltG === null) return null
    return judge(agentG, agentG + saltG + (grams(draft.value.sugar) ?? 0))
  })

  const thicknessMm = computed(() => {
    const parsed = parseDecimal(draft.value.thickness)
    return parsed.ok && parsed.value >= THICKNESS_RANGE_MM.min && parsed.value <= THICKNESS_RANGE_MM.max ? parsed.value : null
  })
  const span = computed(() => suggestedSpan(thicknessMm.value ?? 40))

  /** The body of "Rub this lot", as typed. */
  const body = computed(() => ({
    cut: draft.value.cut, rind: draft.value.rind, saltOnly: draft.value.saltOnly, pieces: draft.value.pieces,
    meatScaleId: meatScale.value?.id ?? 0, mixScaleId: mixScale.value?.id ?? 0,
    targets: { saltShare: draft.value.saltShare, sugarShare: draft.value.sugarShare, saltBasis: draft.value.saltBasis, nitritePpm: String(draft.value.targetPpm) },
    agent: draft.value.saltOnly ? null : { lotCode: agentLot.value?.code ?? '', weighed: draft.value.agent.weighed },
    salt: { lotCode: saltLot.value?.code ?? '', weighed: draft.value.salt.weighed },
    sugar: draft.value.sugar.weighed.trim() === '' ? null : { lotCode: sugarLot.value?.code ?? '', weighed: draft.value.sugar.weighed },
    thicknessMm: draft.value.thickness, readyFromDay: draft.value.readyFromDay ?? span.value.readyFromDay, bestByDay: draft.value.bestByDay ?? span.value.bestByDay,
    fridgeId: draft.value.fridgeId ?? view.value?.fridges[0]?.id ?? 0, note: draft.value.note || null,
  }))
  return { pieces, greenG, meatScale, mixScale, lotsOf, agentLot, saltLot, sugarLot, plan, shares, planned, weighed, thicknessMm, span, body }
}
