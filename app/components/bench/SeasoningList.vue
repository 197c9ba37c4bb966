<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import { sugarOf } from '#core/cure/seasoning'
import { MOST_SEASONINGS } from '#core/rules/house'
import { computed } from 'vue'
import { mdiClose } from '@mdi/js'
import { FLAVOURS } from '#shared/contracts/recipes'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import { readSeasonings } from './read-draft'
import type { Bench } from './use-bench'

/** Spices and composite seasonings, per cent, per kilogram or per piece; for all pieces or for those of one mark. */
const props = defineProps<{ bench: Bench; errorAt: (path: string) => string | undefined }>()
const draft = defineModel<BenchDraft>({ required: true })
const { grams, percent } = useNotation()
const PER = [
  { value: 'percent', title: '% of meat' },
  { value: 'g_per_kg', title: 'g per kg' },
  { value: 'g_per_piece', title: 'g per piece' },
]
const GROUPS = [
  { value: 'all', title: 'all pieces' },
  ...FLAVOURS.map(mark => ({ value: mark, title: `pieces marked ${mark}` })),
]
const lots = computed(() =>
  [...props.bench.lotsOf('spice'), ...props.bench.lotsOf('sugar')].map(lot => ({ value: lot.code, title: `${lot.code} ${lot.name}` })),
)
const lotOf = (code: string) => props.bench.ingredients.value.find(lot => lot.code === code)
/** Planned grams by place in the draft; a seasoning without a lot is planned too. */
const planned = computed(() => {
  const wanted = readSeasonings(draft.value, props.bench.ingredients.value)
  return draft.value.seasonings.map((_s, i) => wanted[i] && props.bench.made.value?.seasonings[i])
})
function add(): void {
  draft.value.seasonings.push({ name: '', lotCode: '', per: 'percent', amount: '', group: 'all', weighed: '' })
}
function choose(i: number, code: string): void {
  const s = draft.value.seasonings[i]!
  s.lotCode = code
  s.name = lotOf(code)?.name ?? s.name
}
const brings = (code: string) => {
  const lot = lotOf(code)
  if (!lot) return ''
  const { saltFraction } = lot.composition
  const sugarFraction = sugarOf({ kind: lot.kind, sugarFraction: lot.composition.sugarFraction })
  return [
    saltFraction > 0 ? `${percent(saltFraction)} salt` : '',
    sugarFraction > 0 ? `${percent(sugarFraction)} sugar` : '',
    lot.allergens.length ? `on the label: ${lot.allergens.join(', ')}` : '',
  ]
    .filter(Boolean)
    .join(', ')
}
</script>

<template>
  <section aria-labelledby="season-head" class="stack-tight">
    <div class="ruled-head">
      <h2 id="season-head">Seasonings</h2>
      <VBtn v-if="draft.seasonings.length < MOST_SEASONINGS" variant="outlined" @click="add">
        Add a seasoning
      </VBtn>
    </div>
    <p v-if="errorAt('seasonings')" class="caution grave" role="alert">{{ errorAt('seasonings') }}</p>
    <div v-for="(s, i) in draft.seasonings" :key="i" class="line">
      <VSelect
        :model-value="s.lotCode || null"
        :items="lots"
        :label="s.name && !s.lotCode ? `${s.name}: from which lot?` : 'Seasoning'"
        density="compact"
        no-data-text="None in the store"
        :error-messages="errorAt(`seasonings.${i}.lotCode`)"
        @update:model-value="choose(i, $event ?? '')"
      />
      <VTextField
        v-model="s.amount"
        label="How much"
        density="compact"
        inputmode="decimal"
        :error-messages="errorAt(`seasonings.${i}.amount`)"
      />
      <VSelect v-model="s.per" :items="PER" label="counted" density="compact" />
      <VSelect
        v-model="s.group"
        :items="GROUPS"
        label="on"
        density="compact"
        :error-messages="errorAt(`seasonings.${i}.pieces`)"
      />
      <WeightField
        v-model="s.weighed"
        :label="
          planned[i] && s.amount.trim()
            ? `Weigh ${grams(planned[i]!.massG, bench.mixScale.value?.readabilityG ?? 0.1)}`
            : 'Really weighed'
        "
        fine
        :range="INGREDIENT_RANGE"
        :error="errorAt(`seasonings.${i}.weighed`)"
      />
      <VBtn
        variant="text"
        :icon="mdiClose"
        :aria-label="`Leave out ${s.name || 'this seasoning'}`"
        @click="draft.seasonings.splice(i, 1)"
      />
      <p v-if="brings(s.lotCode)" class="small soft brings">Brings {{ brings(s.lotCode) }}.</p>
    </div>
    <p v-if="!draft.seasonings.length" class="small soft">None. Their salt and sugar are counted when there are.</p>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 1.2fr 1.1fr 1.4fr auto;
  gap: 0.5rem;
  align-items: start;
  border-top: 1px solid var(--hair);
  padding-top: 0.7rem;
}
.line > :nth-child(1) {
  grid-column: 1 / 3;
}
.line > :nth-child(2) {
  order: 2;
}
.line > :nth-child(3) {
  order: 3;
}
.line > :nth-child(4) {
  order: 4;
}
.line > .brings {
  order: 5;
}
.brings {
  grid-column: 1 / -1;
  margin-top: -0.4rem;
}
@media (--narrow) {
  .line {
    grid-template-columns: 1fr 1fr;
  }
  .line > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
