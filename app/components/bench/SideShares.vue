<script setup lang="ts">
import type { BenchDraft } from './bench-draft'

/** How much of a piece's mix goes on which side, in per cent. */
defineProps<{ rind: BenchDraft['rind'] }>()
const sides = defineModel<BenchDraft['sides']>({ required: true })
</script>

<template>
  <details>
    <summary>How much on which side</summary>
    <div class="sides">
      <VTextField v-model="sides.flesh" label="Flesh" suffix="%" density="compact" inputmode="decimal" />
      <VTextField
        v-model="sides.fat"
        :label="rind === 'on' ? 'Rind' : 'Fat'"
        suffix="%"
        density="compact"
        inputmode="decimal"
      />
      <VTextField v-model="sides.edges" label="Edges" suffix="%" density="compact" inputmode="decimal" />
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  padding: 0.5rem 0;
  font-weight: 600;
}
.sides {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.5rem;
  padding-top: 0.4rem;
}
</style>
