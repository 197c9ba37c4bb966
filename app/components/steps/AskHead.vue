<script setup lang="ts">
import { mdiClose } from '@mdi/js'

/** What a form asks, and the way back from it. */
defineProps<{ asks: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <p class="asks">
    <span class="small">{{ asks }}</span>
    <VBtn variant="text" :icon="mdiClose" aria-label="Back, nothing is recorded" @click="emit('close')" />
  </p>
</template>

<style scoped>
.asks {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin: 0;
  font-weight: 600;
}
.v-btn {
  min-width: 56px;
  min-height: 56px;
}
</style>
