<script setup lang="ts">
import { computed } from 'vue'
import type { Vessel } from '#core/places/layout'
import { isChosen, toggleChosen } from '~/composables/use-chosen'
import SlabButton from './SlabButton.vue'
import type { Slab } from './slabs'

/** A tub, a bag, a rack or a stack with pieces of one lot in it, its name below: a tap on that chooses all of them. */
const props = defineProps<{ code: string; words: string; vessel: Vessel | 'loose'; pieces: Slab[] }>()
const pressed = computed(() => props.pieces.every(slab => isChosen(slab.code, slab.id)))
</script>

<template>
  <div class="vessel" :class="vessel">
    <div class="in">
      <SlabButton v-for="slab in pieces" :key="slab.id" :slab="slab" />
    </div>
    <button
      type="button"
      tabindex="-1"
      class="name"
      :aria-pressed="pressed"
      @click="toggleChosen(code, pieces.map(slab => slab.id))"
    >
      <span class="code">{{ code }}</span> {{ words }}
    </button>
  </div>
</template>

<style scoped>
/* What changes in it moves nothing beside it. */
.vessel {
  contain: layout style;
}
.in {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem;
  justify-content: center;
  padding: 0.3rem;
}
.tub .in,
.other .in {
  border: 3px solid var(--soft);
  border-top: 0;
  border-radius: 0 0 12px 12px;
}
.bag .in {
  border: 2px dashed var(--brine);
  border-radius: 40% 40% 14px 14px / 16px 16px 14px 14px;
}
.rack .in {
  border-bottom: 4px double var(--soft);
}
.stack .in {
  flex-direction: column-reverse;
  flex-wrap: nowrap;
  gap: 1px;
  border-bottom: 3px solid var(--soft);
}
.stack .slab {
  min-width: 96px;
  min-height: 32px;
}
.name {
  display: flex;
  gap: 0.35rem;
  align-items: center;
  justify-content: center;
  width: 100%;
  border: 0;
  background: none;
  color: var(--soft);
  font: inherit;
  font-size: 0.84rem;
  min-height: 32px;
}
.name:active,
.name[aria-pressed='true'] {
  background: var(--heather);
  color: var(--bone);
}
@media (--tablet) {
  .name,
  .stack .slab {
    min-height: 56px;
  }
}
</style>
