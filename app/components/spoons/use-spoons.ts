import { DELIVERY_RANGE } from '#core/rules/ranges'
import { computed, type Ref } from 'vue'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import type { Cut, Rind } from '#core/rules/cuts'
import { limitsFor } from '#core/rules/limits'
import { byWeight } from '#core/spoons/by-weight'
import { checkSpoons } from '#core/spoons/check-spoons'
import { grainOf } from '#core/spoons/grains'
import { parseSpoons, type SpoonSystem } from '#core/spoons/parse-spoons'
import { parseWeight } from '#core/typed/parse-weight'
import type { BenchView } from '#shared/contracts/lots'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { useNotation } from '~/composables/use-notation'
import { differingWords } from './spoon-words'

export interface SpoonDraft {
  system: SpoonSystem
  meat: string
  cut: Cut
  rind: Rind
  lines: { grain: string; typed: string }[]
}
export const firstSpoons = (): SpoonDraft => ({
  system: 'us',
  meat: '2.4 kg',
  cut: 'belly',
  rind: 'off',
  lines: [
    { grain: 'curing_salt_no_1', typed: '1 tsp' },
    { grain: 'flake_kosher', typed: '1/4 cup' },
    { grain: 'brown_packed', typed: '2 tbsp' },
  ],
})

/** What a recipe in spoons can mean on its meat under the rules in force, and the same by weight. */
export function useSpoons(draft: Ref<SpoonDraft>, view: Ref<BenchView | null>) {
  const { as, grams } = useNotation()
  const meatG = computed(() => {
    const found = parseWeight(draft.value.meat, DELIVERY_RANGE)
    return found.ok ? found.value.netG : null
  })
  const parsed = computed(() => draft.value.lines.map(line => parseSpoons(line.typed, draft.value.system)))
  const limits = computed(() => {
    if (!view.value) return null
    const { cut, rind } = draft.value
    return limitsFor({ rules: view.value.rules, cut, method: 'dry', rind, house: view.value.shop.house })
  })
  /** Lines that can be read, with their places. */
  const good = computed(() =>
    draft.value.lines.flatMap((line, i) => {
      const amount = parsed.value[i]!
      const grain = grainOf(line.grain)
      return amount.ok && grain ? [{ i, grain, amount: amount.value }] : []
    }),
  )
  const found = computed(() =>
    limits.value && meatG.value && good.value.length
      ? checkSpoons(good.value, meatG.value, { ...CURING_SALT_NO_1, labelTolerance: 0 }, limits.value)
      : null,
  )
  /** What cannot be read, and what is written in several ways that do not say the same. */
  const faults = computed(() =>
    parsed.value.map((line, i) => {
      if (!line.ok) return draft.value.lines[i]!.typed.trim() === '' ? null : wordsFor(line.code, line.params, as.value)
      const differs = found.value?.differing.find(one => good.value[one.line]?.i === i)
      return differs ? differingWords(differs.massesG, grams) : null
    }),
  )
  const masses = computed(() =>
    draft.value.lines.map((_line, i) => found.value?.lines[good.value.findIndex(line => line.i === i)]?.massG ?? null),
  )
  const written = computed(() =>
    found.value && meatG.value && view.value && limits.value
      ? byWeight(good.value, found.value, meatG.value, {
          houseTargetPpm: view.value.shop.houseTargetPpm,
          floorPpm: limits.value.floorPpm,
          maxPpm: limits.value.maxPpm,
        })
      : null,
  )
  return { meatG, limits, found, faults, masses, written }
}
