<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import type { FridgeView } from '#shared/contracts/lots'
import FridgeOne from './FridgeOne.vue'

defineProps<{ fridges: FridgeView[]; nowMs: Milliseconds }>()
</script>

<template>
  <section class="fridges" aria-label="Fridges">
    <FridgeOne v-for="fridge in fridges" :key="fridge.id" :fridge="fridge" :now-ms="nowMs" />
  </section>
</template>

<style scoped>
.fridges {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
  gap: 0.6rem 2.5rem;
  margin-bottom: 1.4rem;
}
@media (--phone) {
  .fridges {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
