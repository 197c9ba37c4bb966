import { INGREDIENT_RANGE } from '#core/rules/ranges'
import { computed, type Ref } from 'vue'
import { bulkAgent, takeOfMixG } from '#core/cure/bulk-mix'
import { formulate } from '#core/cure/formulate'
import { PLAIN } from '#core/cure/seasoning'
import { parseDecimal } from '#core/typed/parse-decimal'
import { type Grams, GRAMS_PER_KILOGRAM } from '#core/units/quantities'
import type { BenchView } from '#shared/contracts/lots'
import type { IngredientView } from '#shared/contracts/store'
import { emptyBench, type Weighed } from './bench-draft'
import { gramsOf, lotsFor, readTargets, shareOf } from './read-draft'

export interface MixDraft {
  name: string
  forKg: string
  ppm: string
  saltShare: string
  sugarShare: string
  bestBefore: string
  agent: Weighed
  salt: Weighed
  sugar: Weighed
  /** Per cent of the meat that the mix is for. */
  seasonings: (Weighed & { percent: string })[]
  scaleId: number | null
}
/** A mix for no nitrite yet: the shop's own target goes in. */
export const emptyMix = (): MixDraft => ({
  name: 'House mix',
  forKg: '30',
  ppm: '',
  saltShare: '2.5',
  sugarShare: '1',
  bestBefore: '',
  agent: { lotCode: '', weighed: '' },
  salt: { lotCode: '', weighed: '' },
  sugar: { lotCode: '', weighed: '' },
  seasonings: [],
  scaleId: null,
})

const BASE = ['agent', 'salt', 'sugar'] as const
/** One thing to weigh into the tub; `draft` is its place in what is typed. */
export interface MixLine {
  role: (typeof BASE)[number] | 'spice'
  lot: IngredientView
  lots: IngredientView[]
  plannedG: Grams
  draft: Weighed
}

const numberOf = (typed: string): number => {
  const found = parseDecimal(typed)
  return found.ok ? Math.max(0, found.value) : 0
}

/**
 * What to weigh for a mix for many kilograms, and what to take of it for one. Seasonings bring their salt and sugar
 * into the sum.
 */
export function useBulkMix(draft: Ref<MixDraft>, view: Ref<BenchView | null>) {
  const lotsOf = (role: MixLine['role']) =>
    lotsFor(view.value?.ingredients ?? [], role, view.value?.today ?? '').filter(lot => lot.kind !== 'mix')
  const chosen = (role: (typeof BASE)[number]) =>
    lotsOf(role).find(lot => lot.code === draft.value[role].lotCode) ?? lotsOf(role)[0]
  const scales = computed(() => view.value?.scales.filter(one => one.purpose === 'mix') ?? [])
  const scale = computed(() => scales.value.find(one => one.id === draft.value.scaleId) ?? scales.value[0])
  const made = computed(() => {
    const targets = readTargets({
      ...emptyBench(),
      saltShare: draft.value.saltShare,
      sugarShare: draft.value.sugarShare,
      targetPpm: numberOf(draft.value.ppm),
    })
    const agent = chosen('agent')?.agent
    if (!targets || !agent || !scale.value || !numberOf(draft.value.forKg)) return null
    // A part without a lot waits: nothing of it is weighed.
    const seasonings = draft.value.seasonings.map((s) => {
      const lot = lotsOf('spice').find(one => one.code === s.lotCode)
      return {
        key: lot?.name ?? '',
        per: 'percent' as const,
        amount: lot ? (shareOf(s.percent) ?? 0) * 100 : 0,
        pieces: null,
        composition: lot?.composition ?? PLAIN,
      }
    })
    return formulate({
      piecesG: [numberOf(draft.value.forKg) * GRAMS_PER_KILOGRAM],
      agent,
      targets,
      seasonings,
      readabilityG: scale.value.readabilityG,
    })
  })
  const plan = computed(() => (made.value?.ok ? made.value.value : null))
  const lines = computed((): MixLine[] => {
    if (!plan.value) return []
    const { agentG, saltG, sugarG, seasonings } = plan.value
    const base = BASE.flatMap((role) => {
      const lot = chosen(role)
      const plannedG = { agent: agentG, salt: saltG, sugar: sugarG }[role]
      return lot && plannedG > 0 ? [{ role, lot, lots: lotsOf(role), plannedG, draft: draft.value[role] }] : []
    })
    return [
      ...base,
      ...draft.value.seasonings.flatMap((s, i) => {
        const lot = lotsOf('spice').find(one => one.code === s.lotCode)
        return lot && seasonings[i] && seasonings[i].massG > 0
          ? [{ role: 'spice' as const, lot, lots: [lot], plannedG: seasonings[i].massG, draft: s }]
          : []
      }),
    ]
  })
  /** Grams for each kilogram of meat, by what was weighed; what is not weighed yet counts as planned. */
  const takePerKgG = computed(() => {
    const agent = chosen('agent')?.agent
    if (!agent || !scale.value || lines.value.length < 2) return null
    const parts = lines.value.map(({ role, lot, plannedG, draft: typed }) => ({
      role,
      massG: gramsOf(typed.weighed, INGREDIENT_RANGE) ?? plannedG,
      saltFraction: lot.composition.saltFraction,
      sugarFraction: lot.composition.sugarFraction,
    }))
    const mix = bulkAgent(agent, parts, scale.value.readabilityG)
    return mix.ok ? takeOfMixG(mix.value, GRAMS_PER_KILOGRAM, numberOf(draft.value.ppm)) : null
  })
  return {
    scales,
    scale,
    made,
    plan,
    lines,
    takePerKgG,
    spices: computed(() => lotsOf('spice')),
    hasAgent: computed(() => lotsOf('agent').length > 0),
  }
}
