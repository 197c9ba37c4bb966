<script setup lang="ts">
import { THICKNESS_RANGE_MM } from '#core/rules/ranges'
import { computed } from 'vue'
import { parseLength } from '#core/typed/parse-length'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { daysByRule, type DayRule } from '#core/curing/day-rules'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import type { useBench } from './use-bench'

const props = defineProps<{
  bench: ReturnType<typeof useBench>
  places: { id: number; name: string }[]
  errorAt: (path: string) => string | undefined
}>()
const draft = defineModel<BenchDraft>({ required: true })
const { as, number } = useNotation()
const unit = computed(() => (as.value.mass === 'us' ? 'in' : 'mm'))
const fault = computed(() => {
  const found = parseLength(draft.value.thickness, unit.value, {
    minMm: THICKNESS_RANGE_MM.min,
    maxMm: THICKNESS_RANGE_MM.max,
  })
  return found.ok ? undefined : wordsFor(found.code, found.params, as.value)
})
const NAMES: Record<DayRule, string> = {
  fixed_week: 'a week',
  per_half_inch: '1 a half inch',
  three_per_inch_plus_one: '3 an inch and 1',
  seven_per_inch: '7 an inch',
  three_per_500_g: '3 per 500 g',
  model: 'model, lean to the middle',
}
const SPOTS = ['rack', 'stack', 'tub', 'perforated tub']
const heaviestG = computed(() => Math.max(0, ...props.bench.pieces.value.map(piece => piece.parsed?.netG ?? 0)))
const rules = computed(() =>
  props.bench.thicknessMm.value && heaviestG.value
    ? (Object.entries(daysByRule(props.bench.thicknessMm.value, heaviestG.value)) as [DayRule, number][])
    : [],
)
const readyFrom = computed({
  get: () => draft.value.readyFromDay ?? props.bench.span.value.readyFromDay,
  set: value => (draft.value.readyFromDay = Number(value) || null),
})
const bestBy = computed({
  get: () => draft.value.bestByDay ?? props.bench.span.value.bestByDay,
  set: value => (draft.value.bestByDay = Number(value) || null),
})
</script>

<template>
  <section aria-labelledby="days-head" class="stack-tight">
    <h2 id="days-head">Days in the cure</h2>
    <div class="fields">
      <VTextField
        v-model="draft.thickness"
        label="Thickest piece"
        :suffix="unit"
        inputmode="decimal"
        :error-messages="fault ?? errorAt('thicknessMm')"
      />
      <VTextField
        v-model.number="readyFrom"
        label="Ready from day"
        inputmode="numeric"
        :error-messages="errorAt('readyFromDay')"
      />
      <VTextField
        v-model.number="bestBy"
        label="Best by day"
        inputmode="numeric"
        :error-messages="errorAt('bestByDay')"
      />
      <VSelect
        :model-value="draft.fridgeId ?? places[0]?.id"
        :items="places.map(f => ({ value: f.id, title: f.name }))"
        label="Goes into"
        @update:model-value="draft.fridgeId = $event"
      />
      <VCombobox v-model="draft.spot" :items="SPOTS" label="How it lies" :error-messages="errorAt('spot')" />
    </div>
    <p v-if="rules.length" class="small soft">
      Makers' rules for the heaviest piece:
      <span v-for="([rule, days], i) in rules" :key="rule">{{ i ? '; ' : '' }}{{ NAMES[rule] }}
        <strong>{{ number(days, 1) }}</strong></span>
      days. Customs, not limits.
    </p>
    <VTextField
      v-model="draft.note"
      label="Note on this lot (optional)"
      maxlength="500"
      :error-messages="errorAt('note')"
    />
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.6rem;
}
@media (--phone) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
