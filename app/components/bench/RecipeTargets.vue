<script setup lang="ts">
import type { BenchDraft } from './bench-draft'

defineProps<{ errorAt: (path: string) => string | undefined }>()
const draft = defineModel<BenchDraft>({ required: true })
const ppmText = (value: string) => {
  const number = Number(value.replace(',', '.'))
  if (value.trim() !== '' && Number.isFinite(number)) draft.value.targetPpm = number
}
</script>

<template>
  <section aria-labelledby="recipe-head" class="stack-tight">
    <h2 id="recipe-head">Recipe, on green weight</h2>
    <div class="fields">
      <VTextField v-model="draft.saltShare" label="Salt" suffix="%" inputmode="decimal" :error-messages="errorAt('targets.saltShare')" />
      <VTextField v-model="draft.sugarShare" label="Sugar" suffix="%" inputmode="decimal" :error-messages="errorAt('targets.sugarShare')" />
      <VTextField v-if="!draft.saltOnly" :model-value="String(draft.targetPpm)" label="Nitrite target" suffix="ppm" inputmode="decimal" :error-messages="errorAt('targets.nitritePpm')" @update:model-value="ppmText" />
      <VSelect v-model="draft.saltBasis" label="Salt is counted" :items="[{ value: 'total', title: 'with the curing salt\'s' }, { value: 'added', title: 'as added only' }]" />
    </div>
  </section>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: 1fr 1fr 1.2fr 1.9fr; gap: .6rem; }
@media (max-width: 620px) { .fields { grid-template-columns: 1fr 1fr; } }
</style>
