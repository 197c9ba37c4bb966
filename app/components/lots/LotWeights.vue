<script setup lang="ts">
import type { LotView } from '#shared/contracts/lots'
import LotMix from './LotMix.vue'
import LotPieces from './LotPieces.vue'

defineProps<{ lot: LotView }>()
const emit = defineEmits<{ corrected: [] }>()
</script>

<template>
  <div class="two">
    <LotPieces :lot="lot" @corrected="emit('corrected')" />
    <LotMix :lot="lot" @corrected="emit('corrected')" />
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 2.5rem;
}
@media (--tablet) {
  .two {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.2rem;
  }
}
</style>
