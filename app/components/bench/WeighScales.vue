<script setup lang="ts">
import { computed } from 'vue'
import type { BenchView } from '#shared/contracts/lots'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import type { BenchDraft } from './bench-draft'
import type { Bench } from './use-bench'

/** The two scales of the Bench, with what is to know of each. */
const props = defineProps<{ bench: Bench; view: BenchView }>()
const draft = defineModel<BenchDraft>({ required: true })
const choices = (purpose: 'meat' | 'mix') =>
  props.view.scales
    .filter(scale => scale.purpose === purpose)
    .map(scale => ({ value: scale.id, title: `${scale.name}, reads to ${scale.readabilityG} g` }))
const chosen = computed(() => [props.bench.meatScale.value?.id, props.bench.mixScale.value?.id])
const marks = computed(() => chosen.value.flatMap(id => props.view.scales.find(scale => scale.id === id) ?? []))
</script>

<template>
  <div class="scales">
    <VSelect
      :model-value="chosen[0]"
      :items="choices('meat')"
      label="Meat weighed on"
      density="compact"
      @update:model-value="draft.meatScaleId = $event"
    />
    <VSelect
      :model-value="chosen[1]"
      :items="choices('mix')"
      label="Cure weighed on"
      density="compact"
      @update:model-value="draft.mixScaleId = $event"
    />
    <InstrumentNote v-for="mark in marks" :key="mark.id" :mark="mark" />
  </div>
</template>

<style scoped>
.scales {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
@media (--phone) {
  .scales {
    grid-template-columns: 1fr;
  }
}
</style>
