<script setup lang="ts">
import StateMark from '~/components/common/StateMark.vue'
import type { Said } from './run-words'

/** One figure of a smoke, large, with its verdict and where it comes from. */
defineProps<{ name: string; figure: string; said?: Said; isWords?: boolean }>()
</script>

<template>
  <div>
    <dt>{{ name }}</dt>
    <dd>
      <b :class="{ words: isWords }">{{ figure }}</b>
      <StateMark v-if="said" :tone="said.tone">{{ said.words }}</StateMark>
      <span class="small soft"><slot /></span>
      <slot name="mark" />
    </dd>
  </div>
</template>

<style scoped>
dt {
  color: var(--soft);
  font-size: 0.9rem;
}
dd {
  margin: 0;
  display: grid;
  justify-items: start;
  gap: 0.15rem;
}
b {
  font: 700 1.6rem/1.1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
b.words {
  font-size: 1.15rem;
}
</style>
