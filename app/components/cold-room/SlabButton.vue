<script setup lang="ts">
import type { Stage } from '#core/life/meaning'

/** A piece as it is drawn in its place; a tap chooses it. */
defineProps<{ label: string; code?: string | undefined; stage: Stage | null; held: boolean; pressed: boolean; name: string }>()
</script>

<template>
  <button type="button" class="slab" :class="[stage, { held }]" :aria-pressed="pressed" :aria-label="name">
    <span v-if="code" class="code">{{ code }}</span>
    <span class="which">{{ label }}</span>
  </button>
</template>

<style scoped>
.slab {
  display: inline-flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  min-width: 56px;
  min-height: 44px;
  padding: 0 0.25rem;
  border: 1.5px solid var(--hair-strong);
  border-radius: 9px 14px 8px 12px / 12px 9px 14px 8px;
  background: var(--sheet);
  color: var(--peat);
  font: inherit;
  line-height: 1.1;
}
/* Cured meat is firm and dark at the edge; what dries has a skin. */
.slab.cure,
.slab.soak {
  background: var(--brine-wash);
  border-color: var(--brine);
}
.slab.dry,
.slab.hang {
  background: var(--straw-wash);
  border-color: var(--straw-ink);
}
.slab.rest {
  background: var(--moss-wash);
  border-color: var(--moss);
}
.slab.held {
  border-style: dashed;
  border-width: 2.5px;
  border-color: var(--ember);
}
.slab[aria-pressed='true'] {
  background: var(--heather);
  border-color: var(--heather);
  color: var(--bone);
}
.slab .code {
  font-size: 0.72rem;
}
.which {
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
@media (--tablet) {
  .slab {
    min-height: 56px;
  }
}
</style>
