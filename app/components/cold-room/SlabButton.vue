<script setup lang="ts">
import { computed } from 'vue'
import { isChosen, toggleChosen } from '~/composables/use-chosen'
import type { Slab } from './slabs'

/** A piece as it is drawn in its place; a tap chooses it, and nothing but its lot is drawn again. */
const props = defineProps<{ slab: Slab; named?: boolean }>()
const pressed = computed(() => isChosen(props.slab.code, props.slab.id))
</script>

<template>
  <button
    type="button"
    tabindex="-1"
    class="slab"
    :class="[slab.stage, { held: slab.held }]"
    :aria-pressed="pressed"
    :aria-label="slab.name"
    @click="toggleChosen(slab.code, [slab.id])"
  >
    <span v-if="named" class="code">{{ slab.code }}</span>
    <span class="which">{{ slab.label }}</span>
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
.slab:active,
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
