<script setup lang="ts">
import AskHead from './AskHead.vue'

/** What a step asks in fields: its question, the way back, two columns, targets for a cold thumb. */
defineProps<{ name: string; asks: string }>()
const emit = defineEmits<{ tell: []; close: [] }>()
</script>

<template>
  <form class="step-form" :aria-label="name" @submit.prevent="emit('tell')" @keydown.esc="emit('close')">
    <AskHead :asks="asks" @close="emit('close')" />
    <slot />
  </form>
</template>

<style>
.step-form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
  align-items: start;
}
.step-form .wide {
  grid-column: 1 / -1;
  margin: 0;
}
.step-form .v-btn {
  min-width: 56px;
  min-height: 56px;
}
</style>
